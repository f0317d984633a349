import { join } from 'node:path';

/** What is started as a process of its own. */
export type Program = 'server' | 'worker';

/** Where it lies, bundled: `bin/test` and `bin/with-database` see to it that it is what the sources say. */
export const program = (name: Program): string => join(import.meta.dirname, '../../dist', `${name}.js`);
