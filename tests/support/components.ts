import { config } from '@vue/test-utils';
import PrimeVue from 'primevue/config';

/** Components of these tests stand on PrimeVue, as in the application; its themes are left out. */
config.global.plugins = [PrimeVue];
