import { config } from '@vue/test-utils';
import PrimeVue from 'primevue/config';

/** Components of these tests stand on PrimeVue, as in the application; its themes are left out. */
config.global.plugins = [PrimeVue];

// jsdom lays nothing out: no media query matches, and nothing scrolls.
window.matchMedia = (media) => Object.assign(new EventTarget(), { media, matches: false }) as MediaQueryList;
Element.prototype.scrollIntoView = () => undefined;
