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

const application = createApp(App).use(createPinia());
const session = useSession();
openOnceIn(() => session.me !== null);
application.use(router);
catchFailures(application, router);
application.mount('#app');
