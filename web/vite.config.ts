import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { PIECES } from './pieces.ts';

export default defineConfig({
  plugins: [
    vue(),
    // The whole program is kept on the device: it opens and moves without the line. A new version waits until somebody takes it.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Pace Bend',
        short_name: 'Pace Bend',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4f0e6',
        theme_color: '#1d5a4b',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        maximumFileSizeToCacheInBytes: 4_000_000,
        cleanupOutdatedCaches: true,
      },
    }),
    compression({ algorithms: ['gzip', 'brotliCompress'] }),
  ],
  // The words' library, without what reads other formats of sentences and without its tools for developers.
  define: { __INTLIFY_DROP_MESSAGE_COMPILER__: 'true', __INTLIFY_PROD_DEVTOOLS__: 'false', __VUE_I18N_FULL_INSTALL__: 'false' },
  build: { target: 'es2022', chunkSizeWarningLimit: 900, rolldownOptions: { output: { codeSplitting: { groups: PIECES } } } },
  worker: { format: 'es' },
  // The host stays that of the page: the server compares the two when something is to be changed.
  server: { proxy: { '/api': { target: `http://127.0.0.1:${process.env.API_PORT ?? '4174'}` } } },
});
