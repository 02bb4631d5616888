// Columns of the grid are drawn wider or narrower, by a drag or with arrow keys, and keep their width on this computer.
const KEPT = 'lokum.widths';
const [LEAST, MOST, STEP] = [70, 700, 20];

const kept = () => {
    try {
        return JSON.parse(localStorage.getItem(KEPT)) ?? {};
    } catch {
        return {};
    }
};
const rules = new CSSStyleSheet();
const heading = (handle) => handle.closest('th[data-column]');

function draw() {
    rules.replaceSync(
        Object.entries(kept())
            .map(([column, width]) => {
                const name = CSS.escape(column);
                return `.sheet td.cell[data-definition="${name}"], .sheet th[data-column="${name}"] {
                    min-width: ${Number(width)}px; max-width: ${Number(width)}px; }`;
            })
            .join('\n'),
    );
    document.querySelectorAll('th[data-column] .column-edge').forEach((edge) => {
        const width = kept()[heading(edge).dataset.column];
        if (width) edge.setAttribute('aria-valuenow', width);
    });
}

function keep(column, width) {
    const all = kept();
    if (width === null) delete all[column];
    else all[column] = Math.round(Math.max(LEAST, Math.min(MOST, width)));
    try {
        localStorage.setItem(KEPT, JSON.stringify(all));
    } catch {
        // Where nothing can be kept, the width holds for this page.
    }
    draw();
}

export function columnWidths() {
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, rules];
    draw();
    let held = null;
    document.addEventListener('pointerdown', (event) => {
        const handle = event.target.closest('.column-edge');
        if (!handle) return;
        const head = heading(handle);
        held = { column: head.dataset.column, from: event.clientX, width: head.getBoundingClientRect().width };
        event.preventDefault();
    });
    document.addEventListener('pointermove', (event) => {
        if (held) keep(held.column, held.width + event.clientX - held.from);
    });
    document.addEventListener('pointerup', () => {
        held = null;
    });
    document.addEventListener('dblclick', (event) => {
        if (event.target.matches('.column-edge')) keep(heading(event.target).dataset.column, null);
    });
    document.addEventListener('keydown', (event) => {
        if (!event.target.matches?.('.column-edge')) return;
        const head = heading(event.target);
        const way = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
        if (way) keep(head.dataset.column, head.getBoundingClientRect().width + way);
        else if (event.key === 'Escape') keep(head.dataset.column, null);
        else return;
        event.preventDefault();
        event.stopPropagation();
    });
}
