import Sortable from 'sortablejs';

// A list whose rows are put in order: dragged by the handle, or with Alt and the arrows while the handle has the focus.
export function ordering() {
    return {
        init() {
            const list = this.list();
            Sortable.create(list, {
                handle: '.handle',
                animation: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150,
                ghostClass: 'dragging',
                forceFallback: true,
                onEnd: (event) => {
                    if (event.oldIndex !== event.newIndex) this.save();
                },
            });
            list.addEventListener('keydown', (event) => {
                const handle = event.target.closest('.handle');
                if (!handle || !event.altKey || !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
                event.preventDefault();
                event.stopPropagation();
                const row = handle.closest('[data-id]');
                const other = event.key === 'ArrowUp' ? row.previousElementSibling : row.nextElementSibling;
                if (!other) return;
                event.key === 'ArrowUp' ? other.before(row) : other.after(row);
                handle.focus();
                this.announce(row);
                clearTimeout(this.timer);
                this.timer = setTimeout(() => this.save(handle.id), 500);
            });
        },
        // Looked up by hand, since another component may stand between the list and this one.
        list() {
            return this.$root.querySelector('[data-list]');
        },
        announce(row) {
            const place = [...this.list().children].indexOf(row) + 1;
            this.$root.querySelector('[data-said]').textContent =
                `${row.dataset.name}: place ${place} of ${this.list().children.length}`;
        },
        save(focus) {
            const form = this.$root.querySelector('[data-order]');
            form.querySelectorAll('[name="ids[]"]').forEach((input) => input.remove());
            for (const row of this.list().querySelectorAll('[data-id]')) {
                const input = document.createElement('input');
                Object.assign(input, { type: 'hidden', name: 'ids[]', value: row.dataset.id });
                form.append(input);
            }
            if (focus) sessionStorage.setItem('focus', focus);
            form.requestSubmit();
        },
    };
}

// The handle that was moved has the focus again when the page is back.
document.addEventListener('DOMContentLoaded', () => {
    const id = sessionStorage.getItem('focus');
    if (id) {
        sessionStorage.removeItem('focus');
        document.getElementById(id)?.focus();
    }
});
