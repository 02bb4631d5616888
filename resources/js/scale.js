// The two thumbs of a from–to filter, in step with its typed numbers. What is typed goes as it is: the server says what it takes it as.
export function scale() {
    return {
        init() {
            const { low, high, from, to } = this.$refs;
            const slide = () => {
                if (Number(low.value) > Number(high.value)) [low.value, high.value] = [high.value, low.value];
                from.value = low.value === low.min ? '' : low.value;
                to.value = high.value === high.max ? '' : high.value;
            };
            [low, high].forEach((thumb) => {
                thumb.addEventListener('input', slide);
                thumb.addEventListener('change', () => this.$root.closest('form').requestSubmit());
            });
            [from, to].forEach((input) =>
                input.addEventListener('change', (event) => {
                    event.stopPropagation();
                    this.$root.closest('form').requestSubmit();
                }),
            );
        },
    };
}
