import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import './styles/tokens.css';
import './styles/base.css';
import './styles/kit.css';
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { api, Refusal } from './api/client';
import { afterWrite } from './api/mutations';
import App from './app/App.vue';
import { firstLocale, i18n, speak } from './app/language';
import { router } from './app/router';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // a refusal is an answer; without signal nothing is gained by waiting: what the device has is shown at once
      retry: (n, e) => !(e instanceof Refusal && e.status > 0) && navigator.onLine && n < 2,
      refetchOnWindowFocus: false,
      staleTime: 5_000,
    },
  },
});
api.use(afterWrite(client));
// the shell stays on the device, so that it opens without signal; a newer one is taken at the next start
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void import('virtual:pwa-register').then((w) => w.registerSW());
void speak(firstLocale());
createApp(App).use(createPinia()).use(router).use(VueQueryPlugin, { queryClient: client }).use(i18n).mount('#app');
