import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  plugins: [vue(), compression({ algorithms: ['gzip', 'brotliCompress'] })],
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  // The host stays that of the page: the server compares the two when something is to be changed.
  server: { proxy: { '/api': { target: `http://127.0.0.1:${process.env.API_PORT ?? '4174'}` } } },
});
