import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import ToastService from 'primevue/toastservice';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router';
import { ZovrinPreset } from './theme/preset';
import './theme/fonts.css';
import './theme/tokens.css';
import './theme/base.css';
import './theme/print.css';
import '../widgets/ribbon/ribbon.css';

createApp(App)
  .use(createPinia())
  .use(router)
  .use(PrimeVue, { theme: { preset: ZovrinPreset, options: { darkModeSelector: '.night' } }, ripple: false })
  .use(ToastService)
  .mount('#app');
