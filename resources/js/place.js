// Where somebody worked, kept over an act that shows the page anew: the focus comes back to the same control, to the same row,
// or, where that row is done with, to the one that stands there now.
const KEPT = 'place';

const rows = () => [...document.querySelectorAll('[data-row]')].filter((row) => row.offsetParent !== null);
const named = (form, { name, value, words }) => {
    const controls = [...form.elements];
    const buttons = controls.filter((one) => one.type === 'submit');
    return (
        (name && controls.find((one) => one.name === name && (one.type !== 'submit' || one.value === value))) ||
        buttons.find((one) => one.textContent.trim() === words) ||
        buttons[0]
    );
};

// What an act has made or opened stands among the others.
const opened = () => {
    const row = rows().find((one) => one.matches('.open'));
    return row?.querySelector('[data-stop]') ?? row;
};

function keep(event) {
    const form = event.target;
    if (event.defaultPrevented || form.method !== 'post' || form.matches('[hx-post], [hx-put], [hx-delete]')) return;
    const at = event.submitter ?? document.activeElement;
    const row = (at === document.body ? null : at)?.closest?.('[data-row]');
    sessionStorage.setItem(
        KEPT,
        JSON.stringify({
            path: location.pathname,
            when: Date.now(),
            scroll: document.querySelector('#work')?.scrollTop ?? 0,
            id: at?.id ?? '',
            name: at?.name ?? '',
            value: at?.value ?? '',
            words: at?.textContent?.trim() ?? '',
            action: form.getAttribute('action'),
            row: row ? { id: row.dataset.id ?? '', index: rows().indexOf(row) } : null,
        }),
    );
}

function restore() {
    const place = JSON.parse(sessionStorage.getItem(KEPT) ?? 'null');
    sessionStorage.removeItem(KEPT);
    if (!place || place.path !== location.pathname || Date.now() - place.when > 60_000) return;
    const work = document.querySelector('#work');
    if (work) work.scrollTop = place.scroll;
    // What went wrong is where to go on.
    const wrong =
        document.querySelector('[aria-invalid="true"]') ??
        document.querySelector('#work [role="alert"], #panel [role="alert"]');
    if (wrong) {
        if (wrong.tabIndex < 0) wrong.tabIndex = -1;
        wrong.focus();
        return;
    }
    const control = (place.id && document.getElementById(place.id)) || null;
    const form = [...document.querySelectorAll('form[method="post"]')].find(
        (one) => one.getAttribute('action') === place.action,
    );
    const there =
        place.row &&
        (rows().find((row) => place.row.id !== '' && row.dataset.id === place.row.id) ??
            rows()[Math.min(place.row.index, rows().length - 1)]);
    const target =
        control ?? (there && (there.querySelector('[data-stop]') ?? there)) ?? (form && named(form, place)) ?? opened() ?? work;
    target?.focus({ preventScroll: target === work });
}

export function place() {
    document.addEventListener('submit', keep);
    restore();
}
