import { CellEditor } from './cell-editor.js';
import { showToast } from './toast.js';

// The products grid as a sheet: cells are walked, selected, typed into, copied, pasted and filled down. Nothing is decided here:
// what was typed goes to the server, which answers with the cells as they stand.
export function grid() {
    let root;
    let at = null;
    let from = null;
    let editor = null;
    let pending = null;
    let queue = Promise.resolve();

    const cells = (row) => [...row.querySelectorAll('td.cell')];
    const rows = () => [...root.querySelectorAll('tbody tr')].filter((row) => row.querySelector('td.cell'));
    const place = (cell) => ({ row: rows().indexOf(cell.parentElement), column: column(cell) });
    const columns = () => [...root.querySelectorAll('th[data-column]')].map((head) => head.dataset.column);
    const column = (cell) => columns().indexOf(cell.dataset.definition);
    const cellAt = (row, number) =>
        rows()[row]?.querySelector(`td.cell[data-definition="${CSS.escape(columns()[number] ?? '')}"]`);
    const head = (cell) => root.querySelector(`th[data-column="${CSS.escape(cell.dataset.definition)}"]`);
    const say = (text) => {
        document.querySelector('[data-grid-said]').textContent = text;
    };

    function select(cell, extend = false) {
        if (!cell) return;
        at?.setAttribute('tabindex', '-1');
        at = cell;
        if (!extend || !from?.isConnected) from = cell;
        cell.setAttribute('tabindex', '0');
        cell.focus({ preventScroll: true });
        cell.scrollIntoView({ block: 'nearest', inline: 'nearest' });
        const block = selected().flat();
        root.querySelectorAll('td.chosen').forEach((other) => other.classList.remove('chosen'));
        if (block.length > 1) block.forEach((other) => other?.classList.add('chosen'));
    }

    // The chosen block, row by row; where a variant has no cell of a column there is none.
    function selected() {
        if (!at) return [];
        const [one, other] = [place(from?.isConnected ? from : at), place(at)];
        const lines = [];
        for (let row = Math.min(one.row, other.row); row <= Math.max(one.row, other.row); row++) {
            const line = [];
            for (let number = Math.min(one.column, other.column); number <= Math.max(one.column, other.column); number++)
                line.push(cellAt(row, number) ?? null);
            lines.push(line);
        }
        return lines;
    }

    function step(cell, down, right) {
        let { row, column: number } = place(cell);
        do {
            row += down;
            number += right;
            const next = cellAt(row, number);
            if (next) return next;
        } while (row >= 0 && row < rows().length && number >= 0 && number < columns().length);
        return null;
    }

    const typed = (cell, text) => ({
        item: cell.dataset.item,
        definition: cell.dataset.definition,
        text,
        was: cell.dataset.was,
    });

    async function send(list, options = {}) {
        const answer = await fetch(root.dataset.cells, {
            method: 'PUT',
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': root.dataset.token },
            body: JSON.stringify({ cells: list, ...options }),
        });
        if (!answer.ok) {
            const problem = await answer.json().catch(() => ({}));
            throw new Error(
                problem.message ?? 'That could not be saved. Reload the page and try again; nothing was changed.',
            );
        }
        return answer.json();
    }

    // One after the other: what is typed before an answer has come is said to the cell as that answer leaves it.
    function put(list, make = false) {
        queue = queue.then(() =>
            putNow(
                list.map((cell) => ({ ...cell, was: find(cell)?.dataset.was ?? cell.was })),
                make,
            ),
        );
        return queue;
    }

    async function putNow(list, make) {
        if (list.length === 0) {
            showToast('Nothing was different.');
            return [];
        }
        list.forEach((cell) => find(cell)?.setAttribute('aria-busy', 'true'));
        try {
            const answer = await send(list, { make });
            const back = at && { item: at.dataset.item, definition: at.dataset.definition };
            answer.cells.forEach(replace);
            if (back && !editor) select(find(back));
            const refused = answer.refused.map((one) => `${one.sku} ${one.definition}: ${one.reason}`);
            if (refused.length > 0)
                showToast(
                    `Not placed: ${refused.slice(0, 3).join('; ')}${refused.length > 3 ? ` and ${refused.length - 3} more` : ''}`,
                );
            else showToast(answer.done ?? 'Nothing was different.', answer.undo, root.dataset.token);
            if (answer.done) document.dispatchEvent(new CustomEvent('catalog:changed'));
            say(refused.length > 0 ? refused.join('. ') : (answer.done ?? 'Nothing was different.'));
            return answer.refused;
        } catch (problem) {
            showToast(problem.message);
            return list;
        } finally {
            list.forEach((cell) => find(cell)?.removeAttribute('aria-busy'));
        }
    }

    const find = ({ item, definition }) =>
        root.querySelector(`td.cell[data-item="${CSS.escape(String(item))}"][data-definition="${CSS.escape(definition)}"]`);

    function replace(shown) {
        const old = find(shown);
        if (!old) return;
        const holder = document.createElement('template');
        holder.innerHTML = shown.html.trim();
        const cell = holder.content.firstElementChild;
        if (editor?.cell === old) {
            // Somebody is typing there: the cell learns what it now holds, and the typing goes on.
            ['was', 'text'].forEach((name) => {
                old.dataset[name] = cell.dataset[name];
            });
            editor.before = [...cell.childNodes];
            return;
        }
        cell.setAttribute('tabindex', '-1');
        if (from === old) from = cell;
        old.replaceWith(cell);
        if (at === old) {
            at = null;
            select(cell);
        }
    }

    function edit(cell, start = null) {
        const { kind, multiple } = head(cell).dataset;
        editor?.close();
        editor = new CellEditor(
            cell,
            { kind, separator: multiple, suggest: root.dataset.suggest, start },
            {
                async done(text, make, move) {
                    editor = null;
                    if (move) select(step(cell, ...move) ?? cell);
                    else select(cell);
                    if (text === cell.dataset.text) return;
                    const refused = await put([typed(cell, text)], make);
                    // What could not be placed is still there to be mended.
                    const again = find(cell.dataset);
                    if (refused.length > 0 && again) {
                        select(again);
                        edit(again, text);
                    }
                },
                cancel() {
                    editor = null;
                    select(cell);
                },
            },
        );
    }

    const block = (change) =>
        put(
            selected()
                .flat()
                .filter(Boolean)
                .map(change)
                .filter((one) => one.text !== find(one).dataset.text),
        );

    function fillDown() {
        const lines = selected();
        if (lines.length < 2) return;
        put(
            lines
                .slice(1)
                .flatMap((line) =>
                    line.map((cell, i) => (cell && lines[0][i] ? typed(cell, lines[0][i].dataset.text) : null)),
                )
                .filter(Boolean),
        );
    }

    // One letter says yes or no; who goes on and types the whole word has said it already.
    let said = '';
    function flag(cell, key) {
        if (head(cell).dataset.kind !== 'flag') return false;
        if (said !== '' && ['yes', 'no'].some((word) => word.startsWith(said + key))) {
            said += key;
            return true;
        }
        const word = { y: 'Yes', n: 'No' }[key];
        if (!word) return false;
        said = key;
        setTimeout(() => {
            said = '';
        }, 1500);
        block((one) => typed(one, word));
        return true;
    }

    function key(event) {
        const cell = event.target.closest('td.cell');
        if (event.target.matches('.pick') && event.key === 'ArrowRight') {
            select(cells(event.target.closest('tr'))[0]);
            event.preventDefault();
        }
        if (!cell || editor || event.target !== cell) return;
        const arrows = { ArrowDown: [1, 0], ArrowUp: [-1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };
        const control = event.ctrlKey || event.metaKey;
        if (event.key === 'ArrowLeft' && !event.shiftKey && cell === cells(cell.parentElement)[0])
            cell.parentElement.querySelector('.pick')?.focus();
        else if (arrows[event.key] && !event.altKey) select(step(cell, ...arrows[event.key]) ?? cell, event.shiftKey);
        else if (event.key === 'Tab' && step(cell, 0, event.shiftKey ? -1 : 1))
            select(step(cell, 0, event.shiftKey ? -1 : 1));
        else if (control && event.key.toLowerCase() === 'd') fillDown();
        else if (control || event.altKey) return;
        else if (event.key === 'Home' || event.key === 'End')
            select(cells(cell.parentElement).at(event.key === 'Home' ? 0 : -1), event.shiftKey);
        else if (event.key === 'Enter' || event.key === 'F2') edit(cell);
        else if (event.key === 'Delete' || event.key === 'Backspace') block((one) => typed(one, ''));
        else if (event.key === 'Escape') select(cell);
        else if (event.key === ' ' && showAll(cell)) say(cell.innerText);
        else if (event.key.length === 1 && event.key !== '?' && event.key !== '/')
            flag(cell, event.key.toLowerCase()) || edit(cell, event.key);
        else return;
        event.preventDefault();
        event.stopPropagation();
    }

    function copy(event) {
        if (editor || !at || document.activeElement !== at) return;
        const plain = (text) => (/[\t\n"]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
        event.clipboardData.setData(
            'text/plain',
            selected()
                .map((line) => line.map((cell) => plain(cell?.dataset.text ?? '')).join('\t'))
                .join('\n'),
        );
        event.preventDefault();
        say(`${selected().flat().length} cells copied`);
    }

    // Cells of a spreadsheet: tabs between, lines below each other, quotes round those that hold either.
    function parse(text) {
        const lines = [['']];
        let quoted = false;
        for (let i = 0; i < text.length; i++) {
            const line = lines.at(-1);
            if (quoted) {
                if (text[i] !== '"') line[line.length - 1] += text[i];
                else if (text[i + 1] === '"') {
                    line[line.length - 1] += '"';
                    i++;
                } else quoted = false;
            } else if (text[i] === '"' && line.at(-1) === '') quoted = true;
            else if (text[i] === '\t') line.push('');
            else if (text[i] === '\n') lines.push(['']);
            else if (text[i] !== '\r') line[line.length - 1] += text[i];
        }
        if (lines.length > 1 && lines.at(-1).join('') === '') lines.pop();
        return lines;
    }

    async function paste(event) {
        if (editor || !at || document.activeElement !== at) return;
        event.preventDefault();
        const lines = parse(event.clipboardData.getData('text/plain'));
        const list = [];
        let beyond = 0;
        if (lines.length === 1 && lines[0].length === 1)
            selected()
                .flat()
                .filter(Boolean)
                .forEach((cell) => list.push(typed(cell, lines[0][0])));
        else {
            const top = place(selected()[0][0] ?? at);
            lines.forEach((line, down) =>
                line.forEach((text, right) => {
                    const cell = cellAt(top.row + down, top.column + right);
                    if (cell) list.push(typed(cell, text.trim()));
                    else beyond += 1;
                }),
            );
        }
        if (list.length === 0) {
            showToast('Nothing of it has a place here.');
            return;
        }
        try {
            const answer = await send(list, { check: true });
            pending = list;
            document.querySelector('#panel').innerHTML = answer.panel;
            if (beyond > 0) {
                const note = document.createElement('p');
                note.className = 'note harm';
                const [lie, are, them] = beyond === 1 ? ['One cell lies', 'is', 'it'] : [`${beyond} cells lie`, 'are', 'them'];
                note.textContent =
                    `${lie} beyond the edge of the grid, or where there is none, and ${are} left out. ` +
                    `Show more columns or rows to place ${them}.`;
                document.querySelector('#panel').prepend(note);
            }
            document.querySelector('[data-put-in]')?.focus();
        } catch (problem) {
            showToast(problem.message);
        }
    }

    // All values of a cell that has more than it shows, and back again.
    function showAll(cell) {
        if (!cell.querySelector('.rest-of-cell')) return false;
        cell.classList.toggle('all-shown');
        return true;
    }

    function click(event) {
        const cell = event.target.closest('td.cell');
        if (cell && !editor && !event.target.closest('a')) select(cell, event.shiftKey);
        if (cell && !editor && event.target.matches('.count-of-rest')) showAll(cell);
    }

    async function panel(event) {
        if (event.target.closest('[data-put-in]') && pending) {
            await put(pending, true);
            pending = null;
            document.querySelector('#panel').innerHTML = '';
            at?.focus();
        } else if (event.target.closest('[data-let-go]')) {
            pending = null;
            document.querySelector('#panel').innerHTML = '';
            at?.focus();
        }
    }

    return {
        init() {
            root = this.$root;
            root.querySelectorAll('td.cell').forEach((cell, i) => cell.setAttribute('tabindex', i === 0 ? '0' : '-1'));
            root.addEventListener('keydown', key);
            root.addEventListener('click', click);
            root.addEventListener('dblclick', (event) => {
                const cell = event.target.closest('td.cell');
                if (cell && !editor) edit(cell);
            });
            root.addEventListener('focusin', (event) => {
                if (event.target.matches('td.cell') && event.target !== at) select(event.target);
            });
            document.addEventListener('copy', copy);
            document.addEventListener('paste', paste);
            document.querySelector('#panel').addEventListener('click', panel);
        },
    };
}
