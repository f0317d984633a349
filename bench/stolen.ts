import { readFileSync } from 'node:fs';
import type { Ratio } from '@wax-fist/core/units';

/** Ticks since the start of the machine, and those of them that its host gave to others (`/proc/stat`, proc(5)). */
function ticks(): { all: number; stolen: number } {
  const [, ...counts] = readFileSync('/proc/stat', 'utf8').split('\n')[0]!.trim().split(/\s+/);
  // Guests are counted among user and nice already.
  const each = counts.slice(0, 8).map(Number);
  return { all: each.reduce((sum, one) => sum + one, 0), stolen: each[7] ?? 0 };
}

/** Begins to watch; what it returns tells which share of the processors the host has given to others since. */
export function watchStolen(): () => Ratio {
  const before = ticks();
  return () => {
    const now = ticks();
    return (now.stolen - before.stolen) / Math.max(1, now.all - before.all);
  };
}
