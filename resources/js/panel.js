import htmx from 'htmx.org';

// Shows the panel of another address without leaving the place where somebody works; the address bar and the lenses follow.
export function showPanel(address) {
    return htmx.ajax('GET', address, { target: '#panel', select: '#panel', swap: 'outerHTML' }).then(() => {
        history.replaceState(history.state, '', address);
        carry(new URL(address, location.href).searchParams);
    });
}

// Links that lead to another view of the same selection take it with them.
function carry(query) {
    document.querySelectorAll('a[data-carries]').forEach((link) => {
        const to = new URL(link.href);
        ['pick[]', 'value'].forEach((name) => {
            to.searchParams.delete(name);
            query.getAll(name).forEach((value) => to.searchParams.append(name, value));
        });
        [...to.searchParams.keys()].filter((name) => /^pick\[\d+\]$/.test(name)).forEach((name) => to.searchParams.delete(name));
        link.href = to;
    });
}

export function panelLinks() {
    document.addEventListener('click', (event) => {
        const link = event.target.closest('a[data-panel]');
        if (!link || event.defaultPrevented || event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        showPanel(link.href.baseVal ?? link.href);
    });
}
