import { known } from './value-field.js';

// An input in the place of a cell, with the attribute's values below it while something is typed. A value that is not there yet
// is a choice of its own, below those that it looks like.
export class CellEditor {
    constructor(cell, { kind, separator, suggest, start }, { done, cancel }) {
        Object.assign(this, {
            cell,
            kind,
            separator,
            suggest,
            done,
            cancel,
            chosen: -1,
            offers: [],
            before: [...cell.childNodes],
        });
        this.input = document.createElement('input');
        this.input.className = 'cell-input';
        this.input.value = start ?? cell.dataset.text;
        this.input.setAttribute('aria-label', cell.dataset.definition);
        this.list = document.createElement('ul');
        this.list.className = 'cell-offers';
        this.list.id = 'cell-offers';
        this.list.hidden = true;
        this.list.setAttribute('role', 'listbox');
        this.list.setAttribute('aria-label', 'Values');
        Object.entries({
            role: 'combobox',
            autocomplete: 'off',
            'aria-expanded': 'false',
            'aria-controls': 'cell-offers',
        }).forEach(([name, value]) => this.input.setAttribute(name, value));
        cell.classList.add('editing');
        cell.replaceChildren(this.input, this.list);
        this.input.addEventListener('keydown', (event) => this.key(event));
        this.input.addEventListener('input', () => {
            // What was chosen from the list before was chosen for another text.
            Object.assign(this, { chosen: -1, walked: false });
            this.mark();
            this.ask();
        });
        this.input.addEventListener('blur', () => {
            if (!this.closed) this.finish();
        });
        this.list.addEventListener('mousedown', (event) => {
            event.preventDefault();
            const offer = event.target.closest('li');
            if (offer) this.take(Number(offer.dataset.offer));
        });
        this.input.focus();
        if (start === null) this.input.select();
        this.ask();
    }

    // Of several values in one cell, the one that is being typed.
    part() {
        return this.separator ? this.input.value.split(this.separator).at(-1).trim() : this.input.value.trim();
    }

    async ask() {
        if (!['choice', 'flag', 'text'].includes(this.kind)) return;
        const part = this.part();
        clearTimeout(this.timer);
        this.timer = setTimeout(async () => {
            const values = await known(this.suggest, this.cell.dataset.definition, part);
            if (values === null || this.closed || part !== this.part()) return;
            this.show(values, part);
        }, 90);
    }

    show(values, part) {
        const walked = this.walked ? this.offers[this.chosen] : null;
        this.offers = values.map((value) => ({ ...value, text: value.label }));
        if (this.kind === 'choice' && part !== '' && !values.some((value) => value.same))
            this.offers.push({ text: part, make: true });
        // An answer that comes late leaves the choice where the arrows have brought it.
        const kept = walked
            ? this.offers.findIndex((offer) => offer.text === walked.text && offer.make === walked.make)
            : -1;
        this.walked = kept >= 0;
        this.chosen = this.walked ? kept : this.offers.findIndex((offer) => offer.same);
        this.list.replaceChildren(...this.offers.map((offer, i) => this.line(offer, i)));
        this.list.hidden = this.offers.length === 0;
        this.input.setAttribute('aria-expanded', String(!this.list.hidden));
        this.mark();
    }

    line(offer, i) {
        const line = document.createElement('li');
        Object.assign(line, { id: `cell-offer-${i}` });
        line.dataset.offer = i;
        line.setAttribute('role', 'option');
        const name = document.createElement('span');
        name.textContent = offer.make ? `New value “${offer.text}”` : offer.text;
        if (offer.colors?.length) {
            const swatch = document.createElement('i');
            swatch.style.background =
                offer.colors.length === 1 ? offer.colors[0] : `linear-gradient(90deg, ${offer.colors.join(', ')})`;
            line.append(swatch);
        }
        const note = document.createElement('small');
        note.textContent = offer.make ? '' : offer.near ? `did you mean · ${offer.products}` : String(offer.products);
        line.append(name, note);
        return line;
    }

    mark() {
        [...this.list.children].forEach((line, i) => line.setAttribute('aria-selected', String(i === this.chosen)));
        const line = this.list.children[this.chosen];
        line?.scrollIntoView({ block: 'nearest' });
        line
            ? this.input.setAttribute('aria-activedescendant', line.id)
            : this.input.removeAttribute('aria-activedescendant');
    }

    key(event) {
        event.stopPropagation();
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            if (this.offers.length === 0) return;
            this.walked = true;
            this.chosen = (this.chosen + (event.key === 'ArrowDown' ? 1 : -1) + this.offers.length) % this.offers.length;
            this.mark();
        } else if (event.key === 'Enter') this.chosen >= 0 ? this.take(this.chosen) : this.finish([1, 0]);
        else if (event.key === 'Tab') this.finish([0, event.shiftKey ? -1 : 1]);
        else if (event.key === 'Escape') {
            this.close();
            this.cancel();
        } else return;
        event.preventDefault();
    }

    take(i) {
        const offer = this.offers[i];
        if (this.separator) {
            const parts = this.input.value
                .split(this.separator)
                .slice(0, -1)
                .map((part) => part.trim());
            this.input.value = [...parts, offer.text].join(this.separator);
        } else this.input.value = offer.text;
        this.finish([1, 0], offer.make === true);
    }

    finish(move = null, make = false) {
        const text = this.input.value.trim();
        this.close();
        this.done(text, make, move);
    }

    close() {
        this.closed = true;
        clearTimeout(this.timer);
        this.cell.classList.remove('editing');
        this.cell.replaceChildren(...this.before);
    }
}
