import htmx from 'htmx.org';
import Alpine from '@alpinejs/csp';
import { keys } from './keys.js';
import { ordering } from './ordering.js';
import { bands } from './bands.js';
import { columnWidths } from './column-widths.js';
import { grid } from './grid.js';
import { findIn } from './find-in.js';
import { flow } from './flow.js';
import { look } from './look.js';
import { map } from './map.js';
import { menus } from './menus.js';
import './morph.js';
import { place } from './place.js';
import { panelLinks } from './panel.js';
import { renaming } from './renaming.js';
import { search } from './search.js';
import { selection } from './selection.js';
import { drawer } from './shop.js';
import { scale } from './scale.js';
import { showToast } from './toast.js';
import { unsaved } from './unsaved.js';
import { valueFields } from './value-field.js';

// The page may run only what is shipped with it: no eval, no styles from scripts.
htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.scrollBehavior = 'auto';

Alpine.data('ordering', ordering);
Alpine.data('selection', selection);
Alpine.data('scale', scale);
Alpine.data('drawer', drawer);
Alpine.data('bands', bands);
Alpine.data('grid', grid);
Alpine.data('flow', flow);
Alpine.data('map', map);
Alpine.data('look', look);
Alpine.data('toast', () => ({
    shown: true,
    init() {
        setTimeout(() => {
            this.shown = false;
        }, 12000);
    },
    close() {
        this.shown = false;
    },
}));
// Groups of ticks, with how many of them are left beside.
Alpine.data('ticked', () => ({
    init() {
        const root = this.$root;
        root.addEventListener('change', () => {
            const groups = [...root.querySelectorAll('[data-group]')].map((group) => {
                const left = group.querySelectorAll('.pick:checked').length;
                group.querySelector('[data-group-count]').textContent = left;
                return left;
            });
            document.querySelector('[data-ticked-groups]').textContent = groups.filter((left) => left > 0).length;
            document.querySelector('[data-ticked]').textContent = groups.reduce((sum, left) => sum + left, 0);
        });
    },
}));
// A form that goes out by itself when something in it is chosen.
Alpine.data('sendsItself', () => ({
    send() {
        this.$root.requestSubmit();
    },
}));

// Work that takes a while says so, with its count, until the answer is there.
document.addEventListener('submit', (event) => {
    const words = event.target.dataset.busy;
    if (!words || event.defaultPrevented) return;
    const button = event.submitter;
    setTimeout(() => {
        if (button) {
            button.textContent = words;
            button.disabled = true;
        }
        event.target.setAttribute('aria-busy', 'true');
    });
});

// A question that the server could not answer says so, instead of leaving the page as it was.
['htmx:responseError', 'htmx:sendError', 'htmx:timeout'].forEach((name) =>
    document.addEventListener(name, (event) => {
        const status = event.detail.xhr?.status;
        showToast(
            status === 401 || status === 419
                ? 'You were signed out meanwhile. Reload the page and sign in again.'
                : 'That could not be shown. Reload the page and try again; nothing was changed.',
        );
    }),
);

// What was changed without leaving the page has its drift told anew in the top bar.
document.addEventListener('catalog:changed', () => {
    const status = document.querySelector('.status');
    if (status) htmx.ajax('GET', status.dataset.status, { target: status, swap: 'innerHTML' });
});

menus();
keys();
panelLinks();
renaming();
place();
unsaved();
valueFields();
findIn();
columnWidths();
search();
Alpine.start();
