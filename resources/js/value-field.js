// The values of a definition that are called like what is typed, the likeliest first; null where that cannot be told.
export async function known(address, definition, typed) {
    const answer = await fetch(`${address}?${new URLSearchParams({ definition, q: typed })}`, {
        headers: { Accept: 'application/json' },
    });
    return answer.ok ? answer.json() : null;
}

// Fields that take the name of a value offer those that are called like what is typed.
export function valueFields() {
    let timer = null;
    document.addEventListener('input', (event) => {
        const field = event.target.closest('input[data-values]');
        if (!field) return;
        clearTimeout(timer);
        timer = setTimeout(async () => {
            const typed = field.value;
            const values = await known(field.dataset.values, field.dataset.definition, typed);
            if (values === null || typed !== field.value) return;
            field.list.replaceChildren(
                ...values.map((value) => Object.assign(document.createElement('option'), { value: value.label })),
            );
        }, 120);
    });
}
