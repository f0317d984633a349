import type { CalledOut } from '../calls/index.ts';
import type { Ms } from '../units.ts';
import { eachRoundOnce, type DoneWork, type Stretch } from './stretches.ts';

/** Something that is heard or said at a moment of the clock. */
export type FloorEvent =
  | { kind: 'begins' | 'ends' | 'warns' | 'other lead'; at: Ms; stretch: Stretch }
  | { kind: 'call'; at: Ms; stretch: Stretch; call: CalledOut };

/** So long before work or rest ends it is said that it will. */
export const warning: Ms = 10_000;
/** Whoever comes back to a clock after longer than this hears nothing of what was missed. */
export const forgotten: Ms = 1500;

/** Everything that is heard in a stretch, in its order. @param calls of this stretch */
export function eventsOf(stretch: Stretch, calls: readonly CalledOut[]): FloorEvent[] {
  const { kind, from, to, leadChangesAt } = stretch;
  const events: FloorEvent[] = [];
  if (kind === 'work') events.push({ kind: 'begins', at: from, stretch });
  if (leadChangesAt !== null) events.push({ kind: 'other lead', at: from + leadChangesAt, stretch });
  if (to - from >= 2 * warning) events.push({ kind: 'warns', at: to - warning, stretch });
  if (kind === 'work') events.push({ kind: 'ends', at: to, stretch });
  for (const call of calls) events.push({ kind: 'call', at: from + call.at, stretch, call });
  return events.sort((a, b) => a.at - b.at);
}

/** What is due after one reading of the clock up to the next; nothing when it jumped, or stood while nobody looked. */
export const eventsBetween = (events: readonly FloorEvent[], before: Ms, now: Ms): FloorEvent[] =>
  now - before > forgotten ? [] : events.filter(({ at }) => at > before && at <= now);

/** A round counts as whole up to so much before its bell. */
const nearEnough: Ms = 500;

/** What was worked while the clock ran from one reading to the next, added to what was done before. */
export function noteWork(done: readonly DoneWork[], stretches: readonly Stretch[], before: Ms, now: Ms): DoneWork[] {
  const worked = stretches
    .filter(({ kind, from, to }) => kind === 'work' && from < now && to > before)
    .map(({ part, round, from, to }): DoneWork => {
      const spent = Math.min(now, to) - from;
      return { part, round, worked: spent, whole: spent >= to - from - nearEnough };
    });
  return eachRoundOnce([...done, ...worked]);
}
