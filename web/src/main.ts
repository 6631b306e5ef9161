import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'ant-design-vue/dist/reset.css';
import './app/theme.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { catchFailures } from './app/failedPage.ts';
import { openOnceIn, router } from './app/router.ts';
import { useSession } from './stores/session.ts';
import { speakTheirs } from './words/languages.ts';

// What stands in constants is said when the part of the program it stands in is read: so the language comes before those parts.
void speakTheirs(navigator.languages).then(() => {
  const application = createApp(App).use(createPinia());
  const session = useSession();
  openOnceIn(() => session.me !== null);
  application.use(router);
  catchFailures(application, router);
  application.mount('#app');
});
