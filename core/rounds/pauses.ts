import type { Ms, TimeSpan } from '../units.ts';

/** What goes on while nobody works: nobody is there, somebody talks, things are set up or put away, or it is a rest. */
export const pauseKinds = ['nobody', 'talk', 'set-up', 'rest', 'after'] as const;
export type PauseKind = (typeof pauseKinds)[number];
export interface Pause extends TimeSpan {
  kind: PauseKind;
}
/** In words. */
export const pauseNames: Readonly<Record<PauseKind, string>> = {
  nobody: 'nobody there',
  talk: 'talk',
  'set-up': 'set-up',
  rest: 'rest',
  after: 'after it',
};

/** What is shorter is no pause. */
const shortest: Ms = 1500;

/** What is left of some spans outside of others, both in order of time. */
const outside = (spans: readonly TimeSpan[], others: readonly TimeSpan[]): TimeSpan[] =>
  spans.flatMap(({ from, to }) => {
    const left: TimeSpan[] = [];
    let since = from;
    for (const other of others) {
      if (other.to <= since || other.from >= to) continue;
      if (other.from > since) left.push({ from: since, to: other.from });
      since = Math.max(since, other.to);
    }
    return since < to ? [...left, { from: since, to }] : left;
  });
/** What two lists of spans have in common. */
const inside = (spans: readonly TimeSpan[], others: readonly TimeSpan[]): TimeSpan[] => outside(spans, outside(spans, others));

/**
 * What goes on outside of the rounds of a film: where nobody is in the picture, where somebody talks, and else by whether it is before
 * the first round, between two, or after the last.
 * @param rounds in order of time, apart from each other
 * @param talk when somebody talks @param away when nobody is in the picture, both in order of time
 */
export function pausesBetween(
  rounds: readonly TimeSpan[],
  duration: Ms,
  { talk, away }: { talk: readonly TimeSpan[]; away: readonly TimeSpan[] },
): Pause[] {
  const pauses = outside([{ from: 0, to: duration }], rounds);
  const gone = inside(pauses, away);
  const talked = outside(inside(pauses, talk), gone);
  const first = rounds[0]?.from ?? duration;
  const last = rounds.at(-1)?.to ?? duration;
  const kindAt = ({ from }: TimeSpan): PauseKind => (from < first ? 'set-up' : from >= last ? 'after' : 'rest');
  const of = (spans: readonly TimeSpan[], kind: (one: TimeSpan) => PauseKind): Pause[] =>
    spans.map((one) => ({ ...one, kind: kind(one) }));
  return [...of(gone, () => 'nobody'), ...of(talked, () => 'talk'), ...of(outside(outside(pauses, gone), talked), kindAt)]
    .filter(({ from, to }) => to - from >= shortest)
    .sort((one, other) => one.from - other.from);
}
