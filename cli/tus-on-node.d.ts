import type { UrlStorage } from 'tus-js-client';

/** Is in the package for Node.js, and missing from its types. */
declare module 'tus-js-client' {
  const FileUrlStorage: new (path: string) => UrlStorage;
}
