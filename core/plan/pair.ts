import { permutations } from './permutations.ts';
import { padKinds } from '../rounds/index.ts';
import type { Drill } from '../drills/index.ts';
import type { Seconds } from '../units.ts';
import { clockTime } from '../words/index.ts';
import type { LeftOut } from './candidates.ts';
import { beginsTooLate, makePlan, type MadePlan } from './make-plan.ts';
import { partLength, partsLength, type PlanPart } from './part.ts';
import type { PlanWish } from './wish.ts';

/** Two sessions side by side that share one holder. */
export interface MadePair {
  first: MadePlan;
  second: MadePlan;
}

/** Whether somebody has to hold for a part. */
export const needsHolder = ({ on, drillId }: Pick<PlanPart, 'on' | 'drillId'>, drills: readonly Drill[]): boolean =>
  padKinds.includes(on) || drills.find(({ id }) => id === drillId)?.company === 'holder';

interface Span {
  from: Seconds;
  to: Seconds;
}

/** When the holder is busy in a session. */
function held(parts: readonly PlanPart[], change: Seconds, drills: readonly Drill[]): Span[] {
  let at = 0;
  return parts.flatMap((part) => {
    const span = { from: at, to: at + partLength(part) };
    at = span.to + change;
    return needsHolder(part, drills) ? [span] : [];
  });
}

const waitFor = (seconds: Seconds, place: number): PlanPart => ({
  ...{ id: `wait ${place}`, kind: 'wait', title: 'Keep moving until the holder is free', says: 'Slow shadow, steps, breath.' },
  ...{ drillId: null, correctionId: null, technique: null, checkpointId: null, on: 'shadowboxing', rung: null, impact: false },
  ...{ rounds: 1, work: seconds, rest: 0, leads: 'usual only', recipe: null, cue: '', caution: '', shot: null },
});
/** A wait shorter than this is none: it is stretched to it. */
const shortestWait: Seconds = 5;

/** When somebody who is ready at a time can be held for. From a wait one changes, too, as from any part. */
function freeFrom(at: Seconds, length: Seconds, change: Seconds, busy: readonly Span[]): Seconds {
  let start = at;
  for (;;) {
    const span = busy.find(({ from, to }) => start < to && start + length > from);
    if (!span) return start;
    start = Math.max(span.to, at + change + shortestWait);
  }
}

/** A session with waits wherever its holder is still busy with the other one. */
function withWaits(parts: readonly PlanPart[], change: Seconds, busy: readonly Span[], drills: readonly Drill[]): PlanPart[] {
  const list: PlanPart[] = [];
  let at = 0;
  for (const [place, part] of parts.entries()) {
    const length = partLength(part);
    if (needsHolder(part, drills)) {
      const start = freeFrom(at, length, change, busy);
      if (start > at) {
        list.push(waitFor(start - at - change, place));
        at = start;
      }
    }
    list.push(part);
    at += length + change;
  }
  return list;
}

/** The middle of a session in every order that is allowed: low before one rung up, and nothing new in the last third. */
function orders(parts: readonly PlanPart[], change: Seconds): PlanPart[][] {
  const middle = parts.filter(({ kind }) => kind !== 'warm-up' && kind !== 'cool-down');
  const ends = (list: readonly PlanPart[]): PlanPart[] => [
    ...parts.filter(({ kind }) => kind === 'warm-up'),
    ...list,
    ...parts.filter(({ kind }) => kind === 'cool-down'),
  ];
  const lowFirst = (list: readonly PlanPart[]): boolean =>
    list.every(
      (part, place) =>
        part.kind !== 'up' ||
        !list.slice(place).some(({ kind, correctionId }) => kind === 'low' && correctionId === part.correctionId),
    );
  return permutations(middle)
    .filter(lowFirst)
    .map(ends)
    .filter((list) => beginsTooLate(list, change).length === 0);
}

/**
 * Sessions for two who have one holder between them: both begin together, and nobody is held for while the other is. The first keeps its
 * order; of all orders of the second that are allowed the one with the least waiting is taken. Where that does not fit into the
 * minutes, the one that waits is planned shorter until it does.
 */
export function makePair(first: PlanWish, second: PlanWish): MadePair {
  const one = makePlan(first);
  const busy = held(one.parts, one.change, first.drills);
  for (let length = second.length; ; length -= 60) {
    const other = makePlan({ ...second, length });
    const waiting = orders(other.parts, other.change).map((list) => withWaits(list, other.change, busy, second.drills));
    const fits = waiting.filter(
      (list) => partsLength(list, other.change) <= second.length && beginsTooLate(list, other.change).length === 0,
    );
    const best = fits.sort((a, b) => partsLength(a, other.change) - partsLength(b, other.change))[0];
    if (!best && other.parts.length > 0) continue;
    const shorter = second.length - length;
    const why: LeftOut[] =
      shorter > 0 ? [{ what: 'Some of what was wanted', why: `${clockTime(shorter)} go to waiting for the holder.` }] : [];
    return { first: one, second: { ...other, parts: best ?? [], leftOut: [...why, ...other.leftOut] } };
  }
}
