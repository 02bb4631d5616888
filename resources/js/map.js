import { selection } from './selection.js';

// The map: a selection whose dots say what they are when they are pointed at.
export function map() {
    const chosen = selection();
    return {
        ...chosen,
        init() {
            chosen.init.call(this);
            const say = (event) => {
                const dot = event.target.closest('[data-says]');
                const line = this.$root.querySelector('[data-map-says]');
                if (dot && line) line.textContent = dot.dataset.says;
            };
            this.$root.addEventListener('pointerover', say);
            this.$root.addEventListener('focusin', say);
        },
    };
}
