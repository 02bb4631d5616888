const NARROW = '(max-width: 720px)';

// On a narrow window the filters are a drawer, a dialog over the page: it stays open while things are ticked in it, and what lies
// under it is out of reach until it is shut.
export function drawer() {
    return {
        init() {
            window.matchMedia(NARROW).addEventListener('change', (event) => {
                if (!event.matches) this.shut();
            });
        },
        isOpen() {
            return this.$root.classList.contains('drawer-open');
        },
        show() {
            this.$root.classList.add('drawer-open');
            this.below(true);
            this.narrow().querySelector('.drawer-head button').focus();
        },
        shut() {
            if (!this.isOpen()) return;
            this.$root.classList.remove('drawer-open');
            this.below(false);
            this.$root.querySelector('.drawer-open-it')?.focus();
        },
        narrow() {
            return this.$root.querySelector('#narrow');
        },
        below(isShut) {
            const narrow = this.narrow();
            this.$root.querySelectorAll('header, .stage, .about, #listing > main').forEach((part) => {
                part.inert = isShut;
            });
            narrow.setAttribute('role', isShut ? 'dialog' : 'complementary');
            if (isShut) narrow.setAttribute('aria-modal', 'true');
            else narrow.removeAttribute('aria-modal');
        },
        // Tab goes round inside.
        round(event) {
            if (!this.isOpen()) return;
            const stops = [
                ...this.narrow().querySelectorAll('a[href], button, input, select, summary, [tabindex="0"]'),
            ].filter((stop) => !stop.disabled && stop.checkVisibility() && stop.offsetParent !== null);
            const [first, last] = [stops[0], stops.at(-1)];
            if (event.shiftKey && document.activeElement === first) {
                event.preventDefault();
                last.focus();
            }
            if (!event.shiftKey && document.activeElement === last) {
                event.preventDefault();
                first.focus();
            }
        },
    };
}
