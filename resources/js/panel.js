import htmx from 'htmx.org';
import { showToast } from './toast.js';

let asked = null;

const panel = () => document.querySelector('#panel');

// Shows the panel of another address without leaving the place where somebody works; the address bar and the lenses follow. Of
// several questions in a row the last one wins: the answers of those before are thrown away. Until it is answered nothing can be
// done with what the panel still says.
export async function showPanel(address) {
    asked?.abort();
    const mine = (asked = new AbortController());
    const waiting = panel();
    const held = waiting.contains(document.activeElement) ? document.activeElement.id : '';
    waiting.setAttribute('aria-busy', 'true');
    waiting.querySelectorAll('button').forEach((button) => {
        button.disabled = true;
    });
    history.replaceState(history.state, '', address);
    carry(new URL(address, location.href).searchParams);
    try {
        const answer = await fetch(address, { headers: { 'HX-Request': 'true', Accept: 'text/html' }, signal: mine.signal });
        const fresh = new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector('#panel');
        if (mine !== asked) return;
        if (!answer.ok || !fresh) throw new Error();
        panel().replaceWith(document.adoptNode(fresh));
        htmx.process(panel());
        if (held) document.getElementById(held)?.focus();
    } catch (problem) {
        if (problem.name === 'AbortError' || mine !== asked) return;
        panel().removeAttribute('aria-busy');
        panel().textContent =
            'What that would do could not be worked out. Reload the page and try again; nothing was changed.';
        showToast('That could not be shown. Reload the page and try again; nothing was changed.');
    }
}

// Links and forms that lead to another view of the same selection take it with them.
function carry(query) {
    document.querySelectorAll('a[data-carries]').forEach((link) => {
        const to = new URL(link.href);
        ['pick[]', 'value'].forEach((name) => {
            to.searchParams.delete(name);
            query.getAll(name).forEach((value) => to.searchParams.append(name, value));
        });
        [...to.searchParams.keys()]
            .filter((name) => /^pick\[\d+\]$/.test(name))
            .forEach((name) => to.searchParams.delete(name));
        link.href = to;
    });
    document.querySelectorAll('form[data-carries]').forEach((form) => {
        form.querySelectorAll('[name="pick[]"]').forEach((input) => input.remove());
        query.getAll('pick[]').forEach((value) => {
            form.append(Object.assign(document.createElement('input'), { type: 'hidden', name: 'pick[]', value }));
        });
    });
}

// Whether a form of the panel is about another selection than the one that is ticked beside it.
function isAboutAnother(form) {
    const picks = [...form.querySelectorAll('input[type="hidden"][name="pick[]"]')].map((input) => input.value);
    const boxes = [...document.querySelectorAll('.work .pick')];
    return picks.length > 0 && boxes.length > 0 && boxes.some((box) => box.checked !== picks.includes(box.value));
}

export function panelLinks() {
    document.addEventListener('click', (event) => {
        const link = event.target.closest('a[data-panel]');
        if (!link || event.defaultPrevented || event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        showPanel(link.href.baseVal ?? link.href);
    });
    document.addEventListener(
        'submit',
        (event) => {
            if (!event.target.closest('#panel') || !isAboutAnother(event.target)) return;
            event.preventDefault();
            event.stopImmediatePropagation();
            showToast('The selection is another one now. Look at what it would do, then say it again.');
            document.dispatchEvent(new CustomEvent('selection:ask'));
        },
        true,
    );
}
