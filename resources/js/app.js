import htmx from 'htmx.org';
import Alpine from '@alpinejs/csp';
import { keys } from './keys.js';
import { ordering } from './ordering.js';
import { bands } from './bands.js';
import { grid } from './grid.js';
import { flow } from './flow.js';
import { look } from './look.js';
import { map } from './map.js';
import { panelLinks } from './panel.js';
import { renaming } from './renaming.js';
import { selection } from './selection.js';
import { drawer, letters } from './shop.js';
import { scale } from './scale.js';
import { showToast } from './toast.js';

// The page may run only what is shipped with it: no eval, no styles from scripts.
htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.scrollBehavior = 'auto';

Alpine.data('ordering', ordering);
Alpine.data('selection', selection);
Alpine.data('scale', scale);
Alpine.data('drawer', drawer);
Alpine.data('letters', letters);
Alpine.data('bands', bands);
Alpine.data('grid', grid);
Alpine.data('flow', flow);
Alpine.data('map', map);
Alpine.data('look', look);
Alpine.data('toast', () => ({
    shown: true,
    init() { setTimeout(() => { this.shown = false; }, 12000); },
    close() { this.shown = false; },
}));
// A form that goes out by itself when something in it is chosen.
Alpine.data('sendsItself', () => ({
    send() { this.$root.requestSubmit(); },
}));

// Work that takes a while says so, with its count, until the answer is there.
document.addEventListener('submit', (event) => {
    const words = event.target.dataset.busy;
    if (!words || event.defaultPrevented) return;
    const button = event.submitter;
    setTimeout(() => { if (button) { button.textContent = words; button.disabled = true; } event.target.setAttribute('aria-busy', 'true'); });
});

// A question that the server could not answer says so, instead of leaving the page as it was.
['htmx:responseError', 'htmx:sendError', 'htmx:timeout'].forEach((name) => document.addEventListener(name, (event) => {
    const status = event.detail.xhr?.status;
    showToast(status === 401 || status === 419 ? 'You were signed out meanwhile. Reload the page and sign in again.' : 'That could not be shown. Reload the page and try again; nothing was changed.');
}));

keys();
panelLinks();
renaming();
Alpine.start();
