// A menu that acts when something is chosen in it, moved through with keys: it acts on Enter or when it is left, not on every step,
// and Escape puts back what it said.
export function menus() {
    let stepping = false;
    const isOne = (element) => element instanceof HTMLSelectElement && element.matches('[data-acts]');
    const settle = (menu) => {
        if (!('before' in menu.dataset)) return false;
        stepping = false;
        delete menu.dataset.before;
        menu.dispatchEvent(new Event('change', { bubbles: true }));
        return true;
    };
    document.addEventListener(
        'keydown',
        (event) => {
            if (!isOne(event.target)) return;
            const menu = event.target;
            if (event.key === 'Enter' && settle(menu)) event.preventDefault();
            else if (event.key === 'Escape' && 'before' in menu.dataset) {
                menu.value = menu.dataset.before;
                delete menu.dataset.before;
                event.stopImmediatePropagation();
            } else if (
                !event.altKey &&
                !event.ctrlKey &&
                !event.metaKey &&
                (event.key.length === 1 || /^(Arrow|Page|Home|End)/.test(event.key))
            ) {
                stepping = true;
                menu.dataset.now = menu.value;
                setTimeout(() => {
                    stepping = false;
                });
            }
        },
        true,
    );
    ['input', 'change'].forEach((kind) =>
        document.addEventListener(
            kind,
            (event) => {
                if (!stepping || !isOne(event.target)) return;
                event.stopImmediatePropagation();
                event.target.dataset.before ??= event.target.dataset.now;
            },
            true,
        ),
    );
    document.addEventListener(
        'focusout',
        (event) => {
            if (isOne(event.target)) settle(event.target);
        },
        true,
    );
}
