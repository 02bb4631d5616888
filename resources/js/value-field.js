// Fields that take the name of a value offer those that are called like what is typed.
export function valueFields() {
    let timer = null;
    document.addEventListener('input', (event) => {
        const field = event.target.closest('input[data-values]');
        if (!field) return;
        clearTimeout(timer);
        timer = setTimeout(async () => {
            const typed = field.value;
            const answer = await fetch(`${field.dataset.values}&q=${encodeURIComponent(typed)}`, {
                headers: { Accept: 'application/json' },
            });
            if (!answer.ok || typed !== field.value) return;
            const values = await answer.json();
            field.list.replaceChildren(
                ...values.map((value) => Object.assign(document.createElement('option'), { value: value.label })),
            );
        }, 120);
    });
}
