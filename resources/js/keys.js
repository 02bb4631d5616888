// The keyboard of the whole desk. A key clicks what carries it in data-key, so no key can do what no button does.

const typing = (target) =>
    target.closest('input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]') !== null;
const visible = (element) => element.offsetParent !== null && !element.disabled;

// A row may have keys of its own, which hold while somebody is in it.
function clickKey(name) {
    const row = document.activeElement?.closest?.('[data-row]');
    const found =
        [...(row?.querySelectorAll(`[data-row-key="${CSS.escape(name)}"]`) ?? [])].find(visible) ??
        [...document.querySelectorAll(`[data-key="${CSS.escape(name)}"]`)].find(visible);
    found?.click();
    return found !== undefined;
}

function rows() {
    return [...document.querySelectorAll('[data-row]')].filter(visible);
}

function move(step) {
    const all = rows();
    const at = all.findIndex((row) => row.contains(document.activeElement));
    const next = all[Math.max(0, Math.min(all.length - 1, at < 0 ? 0 : at + step))];
    const stop = next?.querySelector('[data-stop]') ?? next;
    stop?.focus();
    stop?.scrollIntoView({ block: 'nearest' });
    return next !== undefined;
}

function act(event) {
    const row = document.activeElement?.closest?.('[data-row]');
    if (event.key === 'ArrowDown') return move(1);
    if (event.key === 'ArrowUp') return move(-1);
    if (event.key === 'Home' && row) {
        rows()[0]?.querySelector('[data-stop]')?.focus();
        return true;
    }
    if (event.key === 'End' && row) {
        rows().at(-1)?.querySelector('[data-stop]')?.focus();
        return true;
    }
    if (
        event.key === ' ' &&
        row &&
        document.activeElement.type !== 'checkbox' &&
        document.activeElement.tagName !== 'BUTTON'
    ) {
        row.querySelector('.pick')?.click();
        return row.querySelector('.pick') !== null;
    }
    if (event.key === 'Enter' && row && document.activeElement.classList.contains('pick')) {
        row.querySelector('a')?.click();
        return true;
    }
    if (event.key === '?') {
        document.querySelector('#keys')?.showModal();
        return true;
    }
    return clickKey(event.key.toLowerCase());
}

export function keys() {
    document.addEventListener('keydown', (event) => {
        if (event.altKey && /^[1-9]$/.test(event.key)) {
            if (clickKey(`alt+${event.key}`)) event.preventDefault();
            return;
        }
        if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !typing(event.target)) {
            if (clickKey('u')) event.preventDefault();
            return;
        }
        if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
        if (event.key === 'Escape' && typing(event.target)) {
            event.target.blur();
            return;
        }
        if (typing(event.target)) return;
        if (event.key.toLowerCase() === 'f') {
            const find = document.querySelector('[data-find]');
            find?.focus();
            if (find) event.preventDefault();
            return;
        }
        if (act(event)) event.preventDefault();
    });
}
