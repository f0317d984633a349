import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

const server = `http://127.0.0.1:${process.env.WAX_PORT ?? 4310}`;

export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue(), vuetify()],
  html: { cspNonce: 'nonce-of-this-answer' },
  worker: { format: 'es' },
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': server } },
});
