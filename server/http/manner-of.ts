import { AsyncLocalStorage } from 'node:async_hooks';
import { mannerFrom, usualManner, type Manner } from '@wax-fist/core/words';

const reads = new AsyncLocalStorage<Manner>();
mannerFrom(() => reads.getStore() ?? usualManner);

/** Does something for whoever reads in this manner: words that are put together meanwhile are in it. */
export const inMannerOf = <T>(manner: Manner, doing: () => T): T => reads.run(manner, doing);
