import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'ant-design-vue/dist/reset.css';
import './app/theme.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { catchFailures } from './app/failedPage.ts';
import { router } from './app/router.ts';

const application = createApp(App).use(createPinia()).use(router);
catchFailures(application, router);
application.mount('#app');
