const plain = (text) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().trim();

// Leaves of the rows those in sight that are called like it, and the ticked ones.
export function leave(rows, typed) {
    const words = plain(typed);
    rows.forEach((row) => {
        row.hidden = !plain(row.textContent).includes(words) && row.querySelector('input:checked') === null;
    });
}

// Asks for rows of a long list that the page does not hold and that fit what is typed, and puts them below; says whether it did.
export async function more(field, rows, list) {
    const typed = field.value;
    const answer = await fetch(`${field.dataset.more}${encodeURIComponent(typed)}`);
    if (!answer.ok || typed !== field.value) return false;
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    page.querySelectorAll(rows).forEach((row) => {
        const id = row.id || row.querySelector('[id]')?.id;
        if (id && !document.getElementById(id)) list.append(document.adoptNode(row));
    });

    return true;
}

// A field over a long list leaves in sight what is called like what is typed, and whatever is ticked; what is typed in the rows
// stays. Where the page holds only the first rows of the list, the others that fit are asked for and put below.
export function findIn() {
    let timer = null;
    document.addEventListener('input', (event) => {
        const field = event.target.closest('input[data-finds]');
        if (!field) return;
        const list = document.querySelector(field.dataset.finds);
        const narrow = () => leave([...list.children].filter((row) => row !== field), field.value);
        narrow();
        clearTimeout(timer);
        if (!field.dataset.more || field.value.trim() === '') return;
        timer = setTimeout(async () => {
            if (await more(field, field.dataset.rows ?? `${field.dataset.finds} > *`, list)) narrow();
        }, 200);
    });
    // Enter would send the form around the field.
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Enter' && event.target.closest('input[data-finds]')) event.preventDefault();
    });
}
