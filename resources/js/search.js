// The search of the whole desk: / opens it, arrows walk what was found, Enter goes there, Escape leaves.
export function search() {
    const dialog = document.querySelector('#search');
    if (!dialog) return;
    const field = dialog.querySelector('input');
    const hits = () => [...dialog.querySelectorAll('[data-hit]')];
    const chosen = () => hits().findIndex((hit) => hit.classList.contains('chosen'));
    const choose = (at) => {
        const all = hits();
        all.forEach((hit, i) => hit.classList.toggle('chosen', i === at));
        all[at]?.scrollIntoView({ block: 'nearest' });
    };
    document.addEventListener('click', (event) => {
        if (!event.target.closest('[data-opens="search"]')) return;
        event.preventDefault();
        dialog.showModal();
        field.select();
    });
    dialog.addEventListener('click', (event) => {
        if (event.target === dialog) dialog.close();
    });
    dialog.addEventListener('htmx:afterSettle', () => choose(0));
    field.addEventListener('keydown', (event) => {
        const all = hits();
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            const step = event.key === 'ArrowDown' ? 1 : -1;
            choose((chosen() + step + all.length) % Math.max(1, all.length));
            event.preventDefault();
        }
        if (event.key === 'Escape') {
            dialog.close();
            event.preventDefault();
        }
        if (event.key === 'Enter' && all.length > 0) {
            event.preventDefault();
            all[Math.max(0, chosen())].click();
        }
    });
}
