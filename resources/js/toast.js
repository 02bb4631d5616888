// Says what was done, with the way back beside it; the same thing that a page shows after a form.
export function showToast(text, undo = null, token = null) {
    document.querySelectorAll('.toast').forEach((old) => old.remove());
    const toast = document.createElement('div');
    toast.className = 'toast';
    toast.setAttribute('role', 'status');
    const said = document.createElement('span');
    said.textContent = text;
    toast.append(said);
    if (undo) {
        const form = document.createElement('form');
        Object.assign(form, { method: 'post', action: undo });
        const hidden = document.createElement('input');
        Object.assign(hidden, { type: 'hidden', name: '_token', value: token });
        const button = document.createElement('button');
        button.textContent = 'Take back';
        button.dataset.key = 'u';
        button.title = 'Take it back (U)';
        form.append(hidden, button);
        toast.append(form);
    }
    const close = document.createElement('button');
    Object.assign(close, { type: 'button', textContent: '×' });
    close.setAttribute('aria-label', 'Close');
    close.addEventListener('click', () => toast.remove());
    toast.append(close);
    document.body.append(toast);
    setTimeout(() => toast.remove(), 12000);
}
