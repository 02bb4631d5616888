import htmx from 'htmx.org';
import { Idiomorph } from 'idiomorph';

// What somebody did to the page stays when the server's answer comes into it: what has the focus keeps it, folded filters stay
// folded, lists opened stay open, words typed above a list stay typed, and a drawer that is open stays a dialog.
const DRAWER = ['role', 'aria-modal'];
const OURS = { DETAILS: ['open'], MAIN: ['inert'] };
const kept = (name, node) =>
    name === 'x-cloak' ||
    ((node.id === 'narrow' ? DRAWER : OURS[node.tagName]) ?? []).includes(name) ||
    (name === 'hidden' && node.matches('.term, [data-letter]'));

Idiomorph.defaults.callbacks.beforeAttributeUpdated = (name, node) => !kept(name, node);
Idiomorph.defaults.callbacks.beforeNodeMorphed = (node) => !(node instanceof Element && node.matches('input[data-finds]'));

htmx.defineExtension('morph', {
    isInlineSwap: (style) => style === 'morph',
    handleSwap: (style, target, fragment) =>
        style === 'morph' ? Idiomorph.morph(target, fragment.children, { morphStyle: 'outerHTML' }) : false,
});
