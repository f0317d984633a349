import type { Ms, Seconds } from '../units.ts';
import { leadChangesAt, type PlanPart } from './part.ts';

/** What is done while the clock of the floor runs. */
export const stretchKinds = ['ready', 'work', 'rest', 'change'] as const;
export type StretchKind = (typeof stretchKinds)[number];

/** A stretch of a session by the clock: one round of a part, or what lies before it. */
export interface Stretch {
  kind: StretchKind;
  /** The part that is worked on, or comes next. */
  part: number;
  /** From 1; while it is rested, the round that comes next. */
  round: number;
  /** From the start. */
  from: Ms;
  to: Ms;
  /** Into the stretch until the other lead goes on; null where it does not. */
  leadChangesAt: Ms | null;
}

/** To put the gloves on and the phone away. */
export const usualReady: Seconds = 10;

/** Parts by the clock, one after another without a hole. */
export function stretchesOf(parts: readonly PlanPart[], change: Seconds, ready: Seconds = usualReady): Stretch[] {
  const stretches: Stretch[] = [];
  const add = (kind: StretchKind, part: number, round: number, length: Seconds): void => {
    const from = stretches.at(-1)?.to ?? 0;
    const at = kind === 'work' ? leadChangesAt(parts[part]!) : null;
    if (length > 0) {
      stretches.push({ kind, part, round, from, to: from + length * 1000, leadChangesAt: at === null ? null : at * 1000 });
    }
  };
  parts.forEach(({ rounds, work, rest }, part) => {
    add(part === 0 ? 'ready' : 'change', part, 1, part === 0 ? ready : change);
    for (let round = 1; round <= rounds; round++) {
      add('work', part, round, work);
      if (round < rounds) add('rest', part, round + 1, rest);
    }
  });
  return stretches;
}

/** The stretch in which so much of the clock has run, and its place; undefined when all is over. */
export const stretchAt = (stretches: readonly Stretch[], elapsed: Ms): Stretch | undefined =>
  stretches.find(({ to }) => elapsed < to);

/** The clock of the floor: what had run when it was last touched, and since when it has been running again. */
export interface FloorClock {
  ran: Ms;
  /** Since the epoch; null while it stands. */
  since: Ms | null;
}

/** How much has run. A computer whose time was put back has not undone anything. */
export const elapsedOn = ({ ran, since }: FloorClock, now: Ms): Ms => ran + (since === null ? 0 : Math.max(0, now - since));
export const paused = (clock: FloorClock, now: Ms): FloorClock => ({ ran: elapsedOn(clock, now), since: null });
export const resumed = (clock: FloorClock, now: Ms): FloorClock => ({ ran: elapsedOn(clock, now), since: now });
/** Goes to another place on the clock, running or standing as before. */
export const movedTo = ({ since }: FloorClock, ran: Ms, now: Ms): FloorClock => ({ ran, since: since === null ? null : now });

/** What was done of one part. */
export interface DonePart {
  part: number;
  rounds: number;
  /** In whole seconds, rounds that were broken off with what was done of them. */
  worked: Seconds;
}

/** A stretch of work as it was done: from and to on the clock; what was skipped was not. */
export interface DoneWork {
  part: number;
  round: number;
  worked: Ms;
  /** Whether it went to its end. */
  whole: boolean;
}

/** Every round once: of one that was begun twice the longer one. */
export function eachRoundOnce(done: readonly DoneWork[]): DoneWork[] {
  const byRound = new Map<string, DoneWork>();
  for (const one of done) {
    const key = `${one.part} ${one.round}`;
    const known = byRound.get(key);
    if (!known || one.worked > known.worked) byRound.set(key, one);
  }
  return [...byRound.values()];
}

/** What was done, part by part. */
export function doneParts(done: readonly DoneWork[]): DonePart[] {
  const rows = eachRoundOnce(done);
  return [...new Set(rows.map(({ part }) => part))]
    .sort((a, b) => a - b)
    .map((part) => {
      const its = rows.filter((one) => one.part === part);
      return {
        part,
        rounds: its.filter(({ whole }) => whole).length,
        worked: Math.round(its.reduce((sum, { worked }) => sum + worked, 0) / 1000),
      };
    })
    .filter(({ worked }) => worked > 0);
}
