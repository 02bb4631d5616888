// On a narrow window the filters are a drawer: it stays open while things are ticked in it.
export function drawer() {
    return {
        show() { this.$root.classList.add('drawer-open'); this.$root.querySelector('#narrow .drawer-head a')?.focus(); },
        shut() { this.$root.classList.remove('drawer-open'); },
    };
}

// A long list from A to Z, narrowed by what is typed above it.
export function letters() {
    return {
        init() {
            const root = this.$root;
            root.querySelector('[data-find-in]').addEventListener('input', (event) => {
                event.stopPropagation();
                const plain = (text) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
                const words = plain(event.target.value);
                root.querySelectorAll('.term').forEach((term) => { term.hidden = !plain(term.textContent).includes(words) && !term.querySelector('input').checked; });
                root.querySelectorAll('[data-letter]').forEach((group) => { group.hidden = group.querySelector('.term:not([hidden])') === null; });
            });
            root.querySelector('[data-find-in]').addEventListener('change', (event) => event.stopPropagation());
        },
    };
}
