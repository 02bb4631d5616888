// Edges of bands over a histogram: dragged, or moved with the arrow keys. The typed numbers follow, and are what is saved.
export function bands() {
    return {
        init() {
            const root = this.$root;
            const drawing = root.querySelector('.histogram');
            if (!drawing) return;
            const [from, to] = [Number(drawing.dataset.from), Number(drawing.dataset.to)];
            const powers = drawing.dataset.powers === '1';
            const number = (share) => (powers ? from * (to / from) ** share : from + (to - from) * share);
            const share = (value) => (powers ? Math.log(value / from) / Math.log(to / from) : (value - from) / (to - from));
            const round = (value) => Number(value.toPrecision(2));
            const place = (edge, value) => {
                const before = edge.dataset.edge;
                const said = String(value);
                root.querySelectorAll('input[name^="bands"][name$="[from]"], input[name^="bands"][name$="[to]"]').forEach(
                    (input) => {
                        if (input.value !== '' && Number(input.value) === Number(before)) input.value = said;
                    },
                );
                edge.dataset.edge = said;
                edge.setAttribute('aria-valuenow', said);
                edge.setAttribute('transform', `translate(${600 * Math.min(1, Math.max(0, share(value)))} 0)`);
            };
            let held = null;
            drawing.addEventListener('pointerdown', (event) => {
                held = event.target.closest('.edge');
                if (held) drawing.setPointerCapture(event.pointerId);
            });
            drawing.addEventListener('pointermove', (event) => {
                if (!held) return;
                const box = drawing.getBoundingClientRect();
                place(held, round(number(Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)))));
            });
            drawing.addEventListener('pointerup', () => {
                held = null;
            });
            drawing.addEventListener('keydown', (event) => {
                const edge = event.target.closest('.edge');
                const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
                if (!edge || !way) return;
                event.preventDefault();
                event.stopPropagation();
                const now = Number(edge.dataset.edge);
                const step = 10 ** Math.floor(Math.log10(Math.max(Math.abs(now), (to - from) / 100) / 5));
                place(edge, Number((now + way * step).toFixed(6)));
            });
        },
    };
}
