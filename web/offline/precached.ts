import { createHash } from 'node:crypto';
import type { Plugin } from 'vite';

/** The worker that serves pages without a server; at the top, as it serves only what lies below it. */
export const workerFile = 'sw.js';
const isPartOfAPage = (file: string): boolean => /\.(js|css|woff2)$/.test(file) && file !== workerFile;

/** Tells the service worker which files a page is made of: their names change with what is in them, and so does the version. */
export function precached(): Plugin {
  return {
    name: 'precached-files',
    apply: 'build',
    enforce: 'post',
    generateBundle(_, bundle) {
      const worker = bundle[workerFile];
      if (worker?.type !== 'chunk') return this.error('The service worker was not built.');
      const files = Object.keys(bundle)
        .filter(isPartOfAPage)
        .map((file) => `/${file}`)
        .sort();
      const version = createHash('sha256').update(files.join()).digest('hex').slice(0, 12);
      worker.code = `const precached=${JSON.stringify({ files, version })};${worker.code}`;
    },
  };
}
