import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';
import { precached, workerFile } from './offline/precached.ts';

const server = `http://127.0.0.1:${process.env.WAX_PORT ?? 4310}`;

export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue(), vuetify(), precached()],
  html: { cspNonce: 'nonce-of-this-answer' },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // The names of all scripts cost the first page more than asking for them early gains: from the second page on they are kept.
    modulePreload: { resolveDependencies: (_, files) => files.filter((file) => file.endsWith('.css')) },
    rolldownOptions: {
      input: { index: 'index.html', worker: 'offline/service-worker.ts' },
      output: { entryFileNames: ({ name }) => (name === 'worker' ? workerFile : 'assets/[name]-[hash].js') },
    },
  },
  server: { proxy: { '/api': server } },
});
