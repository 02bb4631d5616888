const STEP = 4;

// A color taken from a picture: the picture is drawn here and goes nowhere.
// Pointing takes the color below the pointer; with keys a cross is moved.
export function look() {
    return {
        init() {
            const root = this.$root;
            const canvas = root.querySelector('canvas');
            const context = canvas.getContext('2d', { willReadFrequently: true });
            const at = { x: 0, y: 0 };
            let image = null;

            // As many pickers as colors are worn; the first stays, so that choosing a color is enough.
            const count = root.querySelector('[name="color_count"]');
            const pickers = [...root.querySelectorAll('[name="colors[]"]')];
            const fit = () =>
                pickers.forEach((picker, i) => {
                    picker.hidden = i >= Math.max(1, Number(count.value));
                });
            const atLeast = (colors) => {
                count.value = String(Math.max(Number(count.value), colors));
                fit();
            };
            count.addEventListener('change', fit);
            pickers.forEach((picker, i) => picker.addEventListener('input', () => atLeast(i + 1)));
            fit();

            const draw = (cross) => {
                context.drawImage(image, 0, 0, canvas.width, canvas.height);
                if (!cross) return;
                context.strokeStyle = '#fff';
                context.lineWidth = 3;
                context.strokeRect(at.x - 5, at.y - 5, 10, 10);
                context.strokeStyle = '#2a1f2d';
                context.lineWidth = 1;
                context.strokeRect(at.x - 5, at.y - 5, 10, 10);
            };
            const take = () => {
                draw(false);
                const { data } = context.getImageData(Math.max(0, at.x - 1), Math.max(0, at.y - 1), 3, 3);
                const mean = [0, 1, 2].map((part) =>
                    Math.round(
                        [...data].filter((_, i) => i % 4 === part).reduce((sum, one) => sum + one, 0) / (data.length / 4),
                    ),
                );
                const color = `#${mean.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
                const place = Math.min(2, this.next ?? 0);
                pickers[place].value = color;
                atLeast(place + 1);
                root.querySelector('[data-sampled]').textContent =
                    `Color ${place + 1}: ${color}. The next one goes to color ${Math.min(3, place + 2)}.`;
                this.next = place + 1;
                draw(true);
            };
            root.querySelector('[data-sample-from]').addEventListener('change', async (event) => {
                const [file] = event.target.files;
                image = file ? await createImageBitmap(file).catch(() => null) : null;
                canvas.hidden = image === null;
                this.next = 0;
                if (!image) {
                    root.querySelector('[data-sampled]').textContent = 'That is not a picture that can be shown.';
                    return;
                }
                const scale = Math.min(1, 280 / image.width, 200 / image.height);
                Object.assign(canvas, {
                    width: Math.max(1, Math.round(image.width * scale)),
                    height: Math.max(1, Math.round(image.height * scale)),
                });
                Object.assign(at, { x: canvas.width >> 1, y: canvas.height >> 1 });
                draw(true);
                root.querySelector('[data-sampled]').textContent =
                    'Point at a color, or move the cross with the arrow keys and press Enter.';
                canvas.focus();
            });
            canvas.addEventListener('pointerdown', (event) => {
                Object.assign(at, { x: event.offsetX, y: event.offsetY });
                take();
            });
            canvas.addEventListener('keydown', (event) => {
                const way = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[
                    event.key
                ];
                if (way)
                    Object.assign(at, {
                        x: Math.min(canvas.width - 1, Math.max(0, at.x + way[0])),
                        y: Math.min(canvas.height - 1, Math.max(0, at.y + way[1])),
                    });
                else if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                event.stopPropagation();
                if (way) draw(true);
                else take();
            });
        },
    };
}
