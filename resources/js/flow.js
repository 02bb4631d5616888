import { showPanel } from './panel.js';
import { selection } from './selection.js';

const FAR = 6;

// The flow: what is selected there, and what is dragged onto what. A drop proposes; the panel says what it would do and does it.
export function flow() {
    const chosen = selection();
    let drag = null;

    const droppable = (event) => {
        const target = document
            .elementsFromPoint(event.clientX, event.clientY)
            .map((element) => element.closest?.('[data-drop]'))
            .find(Boolean);
        return target && target !== drag.source && fits(drag.what, target.dataset.drop) ? target : null;
    };
    const fits = (what, target) =>
        what.startsWith('spelling:') ? target === 'own' || target.startsWith('value:') : target !== 'own';

    return {
        ...chosen,
        init() {
            chosen.init.call(this);
            const root = this.$root;
            root.addEventListener('pointerdown', (event) => {
                const source = event.target.closest('[data-drag]');
                if (source && event.button === 0 && !event.target.closest('input'))
                    drag = { source, what: source.dataset.drag, x: event.clientX, y: event.clientY, moving: false };
            });
            root.addEventListener('dragstart', (event) => event.preventDefault());
            window.addEventListener('pointermove', (event) => this.move(event));
            window.addEventListener('pointerup', (event) => this.drop(event));
            window.addEventListener('keydown', (event) => {
                if (event.key === 'Escape' && drag?.moving) this.end();
            });
            // The click that ends a drag opens nothing.
            root.addEventListener(
                'click',
                (event) => {
                    if (this.dragged) {
                        event.preventDefault();
                        event.stopPropagation();
                    }
                },
                true,
            );
        },
        move(event) {
            if (!drag || (!drag.moving && Math.hypot(event.clientX - drag.x, event.clientY - drag.y) < FAR)) return;
            drag.moving = true;
            this.$root.classList.add('dragging-one');
            drag.source.classList.add('dragged');
            this.zone().hidden = !drag.what.startsWith('spelling:');
            const over = droppable(event);
            if (over !== drag.over) {
                drag.over?.classList.remove('drop-here');
                over?.classList.add('drop-here');
                drag.over = over;
            }
        },
        drop(event) {
            if (!drag?.moving) {
                drag = null;
                return;
            }
            const over = droppable(event);
            const { what } = drag;
            this.end();
            this.dragged = true;
            setTimeout(() => {
                this.dragged = false;
            });
            if (over) this.propose(what.split(':')[1], what.startsWith('spelling:'), over.dataset.drop);
        },
        propose(id, isSpelling, target) {
            const [kind, to] = [target.split(':')[0], target.slice(target.indexOf(':') + 1)];
            if (isSpelling) {
                showPanel(
                    `${location.pathname}?${new URLSearchParams(kind === 'own' ? { spelling: id } : { spelling: id, to })}`,
                );
                return;
            }
            // What is dragged comes with everything that is selected, if it is selected itself.
            const own = this.boxes().find((box) => box.value === id);
            if (!own.checked)
                this.boxes().forEach((box) => {
                    box.checked = false;
                });
            own.checked = true;
            if (kind === 'value') this.boxes().find((box) => box.value === to).checked = true;
            this.ask(kind === 'value' ? { keep: to } : { under: to });
        },
        end() {
            this.$root.classList.remove('dragging-one');
            drag?.source.classList.remove('dragged');
            drag?.over?.classList.remove('drop-here');
            this.zone().hidden = true;
            drag = null;
        },
        zone() {
            return this.$root.querySelector('[data-drop="own"]');
        },
    };
}
