import { showPanel } from './panel.js';

// A form of rows with ticks: whenever the ticks change, the panel beside it shows what could be done with them.
export function selection() {
    return {
        picked: 0,
        last: null,
        init() {
            this.count();
            this.$root.addEventListener('click', (event) => this.range(event));
            this.$root.addEventListener('change', (event) => {
                if (event.target.classList.contains('pick')) this.ask();
            });
            document.addEventListener('selection:ask', () => this.ask());
        },
        boxes() {
            return [...this.$root.querySelectorAll('.pick')];
        },
        count() {
            this.picked = this.boxes().filter((box) => box.checked).length;
        },
        // Shift takes everything between this tick and the one before.
        range(event) {
            if (!event.target.classList.contains('pick')) return;
            const boxes = this.boxes();
            const here = boxes.indexOf(event.target);
            if (event.shiftKey && this.last !== null) {
                const [from, to] = [Math.min(here, this.last), Math.max(here, this.last)];
                boxes.slice(from, to + 1).forEach((box) => {
                    box.checked = event.target.checked;
                });
            }
            this.last = here;
        },
        all(event) {
            this.boxes().forEach((box) => {
                box.checked = event.target.checked;
            });
            this.ask();
        },
        none() {
            this.boxes().forEach((box) => {
                box.checked = false;
            });
            this.ask();
        },
        ask(more = {}) {
            this.count();
            clearTimeout(this.timer);
            if ('onlyCounts' in this.$root.dataset) return;
            this.timer = setTimeout(() => {
                const query = new URLSearchParams(location.search);
                [...query.keys()].filter((name) => name.startsWith('pick[')).forEach((name) => query.delete(name));
                ['value', 'keep', 'open', 'spelling', 'to', 'under', 'umbrella'].forEach((name) => query.delete(name));
                this.boxes()
                    .filter((box) => box.checked)
                    .forEach((box) => query.append('pick[]', box.value));
                Object.entries(more).forEach(([name, value]) => query.set(name, value));
                showPanel(`${location.pathname}?${query}`);
            }, 120);
        },
    };
}
