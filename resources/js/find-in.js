const plain = (text) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().trim();

// The list that a field is over; it says where more of its rows are asked for, if it does not hold them all.
const listOf = (field) => document.querySelector(field.dataset.finds);

// The rows that it narrows: those it names, or what stands in the list.
const rowsOf = (field) => field.dataset.rows ?? `${field.dataset.finds} > *`;

// Leaves in sight what is called like what is typed, and whatever is ticked; of groups, those with anything left.
function narrow(field) {
    const words = plain(field.value);
    document.querySelectorAll(rowsOf(field)).forEach((row) => {
        if (row === field) return;
        row.hidden = !plain(row.textContent).includes(words) && row.querySelector('input:checked') === null;
    });
    document.querySelectorAll(`${field.dataset.finds} [data-letter]`).forEach((group) => {
        group.hidden = group.querySelector('.term:not([hidden])') === null;
    });
}

// Asks for the rows of a long list that the page does not hold and that fit what is typed, and puts them below.
async function more(field) {
    const typed = field.value;
    const answer = await fetch(`${listOf(field).dataset.more}${encodeURIComponent(typed)}`);
    if (!answer.ok || typed !== field.value || !field.isConnected) return;
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    const list = listOf(field);
    page.querySelectorAll(rowsOf(field)).forEach((row) => {
        const id = row.id || row.querySelector('[id]')?.id;
        if (id && !document.getElementById(id)) list.append(document.adoptNode(row));
    });
    narrow(field);
}

// A field over a long list, which narrows it; what is typed in the rows stays. Where the page holds only the first rows, the others that
// fit are asked for. What is typed there is no answer to the form around it.
export function findIn() {
    let timer = null;
    const isFind = (event) => event.target instanceof Element && event.target.matches('input[data-finds]');
    const asksForMore = (field) => listOf(field).dataset.more && field.value.trim() !== '';
    document.addEventListener('input', (event) => {
        if (!isFind(event)) return;
        const field = event.target;
        narrow(field);
        clearTimeout(timer);
        if (asksForMore(field)) timer = setTimeout(() => more(field), 200);
    });
    document.addEventListener('change', (event) => isFind(event) && event.stopPropagation(), { capture: true });
    // Enter would send the form around the field.
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Enter' && isFind(event)) event.preventDefault();
    });
    // A page that came anew holds its first rows again, while what was typed still stands.
    document.addEventListener('htmx:afterSettle', () => {
        document.querySelectorAll('input[data-finds]').forEach((field) => {
            if (field.value.trim() !== '') narrow(field);
            if (asksForMore(field)) more(field);
        });
    });
}
