// A name typed in its place: F2 on its row, or a double click on it. Enter saves, Escape leaves it as it was.
function rename(link) {
    const form = document.createElement('form');
    Object.assign(form, { method: 'post', action: link.dataset.rename, className: 'rename' });
    const token = document.querySelector('input[name="_token"]').value;
    [
        ['_token', token],
        ['_method', 'put'],
    ].forEach(([name, value]) => {
        const hidden = document.createElement('input');
        Object.assign(hidden, { type: 'hidden', name, value });
        form.append(hidden);
    });
    const input = document.createElement('input');
    Object.assign(input, {
        name: 'label',
        value: link.textContent.trim(),
        className: 'input small',
        maxLength: 500,
        required: true,
    });
    input.setAttribute('aria-label', `New name of ${input.value}`);
    form.append(input);
    link.hidden = true;
    // Beside the form that the row stands in, since a form holds no other.
    document.body.append(form);
    input.setAttribute('form', (form.id = 'rename'));
    link.after(input);
    input.focus();
    input.select();
    const close = () => {
        input.remove();
        form.remove();
        link.hidden = false;
    };
    input.addEventListener('keydown', (event) => {
        event.stopPropagation();
        if (event.key === 'Escape') {
            close();
            link.closest('[data-row]').querySelector('[data-stop]')?.focus();
        }
        if (event.key === 'Enter') {
            event.preventDefault();
            input.value.trim() === link.textContent.trim() ? close() : form.requestSubmit();
        }
    });
    input.addEventListener('blur', () => {
        if (input.isConnected && document.hasFocus()) close();
    });
}

export function renaming() {
    document.addEventListener('keydown', (event) => {
        if (event.key !== 'F2') return;
        const link = document.activeElement?.closest?.('[data-row]')?.querySelector('a[data-rename]');
        if (link) {
            event.preventDefault();
            rename(link);
        }
    });
    document.addEventListener('dblclick', (event) => {
        const link = event.target.closest('a[data-rename]');
        if (link) {
            event.preventDefault();
            rename(link);
        }
    });
}
