// The two thumbs of a from–to filter, in step with its typed numbers. Typed numbers snap to the nearest stop.
export function scale() {
    return {
        init() {
            const { low, high, from, to } = this.$refs;
            const ends = () => [Number(low.min), Number(low.max), Number(low.step)];
            const snap = (value) => {
                const [min, max, step] = ends();
                return Math.min(max, Math.max(min, Number((min + Math.round((value - min) / step) * step).toFixed(6))));
            };
            const slide = () => {
                if (Number(low.value) > Number(high.value)) [low.value, high.value] = [high.value, low.value];
                from.value = Number(low.value) === ends()[0] ? '' : low.value;
                to.value = Number(high.value) === ends()[1] ? '' : high.value;
            };
            [low, high].forEach((thumb) => {
                thumb.addEventListener('input', slide);
                thumb.addEventListener('change', () => this.$root.closest('form').requestSubmit());
            });
            [from, to].forEach((input) => input.addEventListener('change', (event) => {
                if (input.value !== '') input.value = snap(Number(input.value.replace(',', '.')) || 0);
                event.stopPropagation();
                this.$root.closest('form').requestSubmit();
            }));
        },
    };
}
