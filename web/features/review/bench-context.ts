import { inject, provide, type InjectionKey } from 'vue';
import type { Keys } from '../../app/keys/use-keys.ts';
import type { BenchKey } from './bench-keys.ts';
import type { BenchData } from './use-bench-data.ts';
import type { Bench } from './use-bench.ts';
import { reviewWords as words } from './words.ts';

/** What everything at a bench works with; it is the same as long as the bench stands. */
export interface BenchContext {
  data: BenchData;
  bench: Bench;
  keys: Keys<BenchKey>;
}
export const benchContext: InjectionKey<BenchContext> = Symbol('bench');

export const provideBench = (context: BenchContext): void => provide(benchContext, context);

/** @throws Error outside of a bench */
export function useBenchContext(): BenchContext {
  const context = inject(benchContext);
  if (!context) throw new Error(words.thisIsPartOfA);
  return context;
}
