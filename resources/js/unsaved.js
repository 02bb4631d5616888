// A form that somebody has typed into, and not sent, is not left without a question.
const typed = new Set();

export function unsaved() {
    document.addEventListener('input', (event) => {
        const form = event.target.form;
        if (form?.method === 'post' && !event.target.classList.contains('pick') && form.dataset.asks !== 'no')
            typed.add(form);
    });
    document.addEventListener('submit', (event) => typed.delete(event.target));
    document.addEventListener('reset', (event) => typed.delete(event.target));
    window.addEventListener('beforeunload', (event) => {
        if ([...typed].some((form) => form.isConnected)) event.preventDefault();
    });
}
