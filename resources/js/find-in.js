// A field over a long list leaves in sight what is called like what is typed, and whatever is ticked; what is typed in the rows
// stays. Where the page holds only the first rows of the list, the others that fit are asked for and put below.
const fits = (row, words) =>
    row.textContent.toLowerCase().includes(words) || row.querySelector('input:checked') !== null;

export function findIn() {
    let timer = null;
    document.addEventListener('input', (event) => {
        const field = event.target.closest('input[data-finds]');
        if (!field) return;
        const list = document.querySelector(field.dataset.finds);
        const narrow = () => {
            const words = field.value.trim().toLowerCase();
            [...list.children].forEach((row) => {
                row.hidden = words !== '' && !fits(row, words);
            });
        };
        narrow();
        clearTimeout(timer);
        if (!field.dataset.more || field.value.trim() === '') return;
        timer = setTimeout(async () => {
            const typed = field.value;
            const answer = await fetch(`${field.dataset.more}&term=${encodeURIComponent(typed)}`);
            if (!answer.ok || typed !== field.value) return;
            const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
            page.querySelectorAll(`${field.dataset.finds} > [id]`).forEach((row) => {
                if (!document.getElementById(row.id)) list.append(document.adoptNode(row));
            });
            narrow();
        }, 200);
    });
    // Enter would send the form around the field.
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Enter' && event.target.closest('input[data-finds]')) event.preventDefault();
    });
}
