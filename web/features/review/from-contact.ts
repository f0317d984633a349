import type { Ms } from '@wax-fist/core/units';
import { reviewWords as words } from './words.ts';

/** How long before or after contact something is. */
export function fromContact(apart: Ms): string {
  const told = Math.round(apart);
  return words.msApart(told === 0 ? '' : told > 0 ? '+' : '−', Math.abs(told));
}
