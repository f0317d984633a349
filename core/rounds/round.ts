import type { Ms } from '../units.ts';
import type { Ring } from '../sound/ring.ts';

/** What is hit in a round. */
export const roundKinds = [
  'heavy bag',
  'long bag',
  'fixed pole',
  'uppercut bag',
  'speed bag',
  'reflex bag',
  'focus mitts',
  'Thai pads',
  'kick shield',
  'paddle',
  'body shield',
  'shadowboxing',
] as const;
export type RoundKind = (typeof roundKinds)[number];
/** Somebody stands on the other side of these, and is looked at, too. */
export const padKinds: readonly RoundKind[] = ['focus mitts', 'Thai pads', 'kick shield', 'paddle', 'body shield'];

/** Bell: between two of them. Called: somebody says what to throw. Free: neither. */
export const roundManners = ['bell', 'called', 'free'] as const;
export type RoundManner = (typeof roundManners)[number];
/** In words. */
export const roundMannerNames: Record<RoundManner, string> = { bell: 'by the bell', called: 'as it is called', free: 'freely' };

/** Nothing is hit in these: what is heard is feet and breath. */
const unheardKinds: readonly RoundKind[] = ['shadowboxing'];
/** Whether hits can be heard in it; shadowboxing makes none. */
export const isHeard = (kind: RoundKind): boolean => !unheardKinds.includes(kind);

/** A span of a film in which somebody works. */
export interface RoundSpan {
  from: Ms;
  to: Ms;
  manner: RoundManner;
}

/** A pause as long as this ends a round when nothing rings. */
const rest: Ms = 20_000;
/** Shorter spans are no round, and neither are spans with fewer hits. */
const shortestRound: Ms = 10_000;
const fewestHits = 5;
/** Room left before the first and after the last hit. */
const margin: Ms = 1500;

const hitsWithin = (hits: readonly Ms[], from: Ms, to: Ms): Ms[] => hits.filter((time) => time >= from && time < to);
const worked = (hits: readonly Ms[], from: Ms, to: Ms): boolean =>
  to - from >= shortestRound && hitsWithin(hits, from, to).length >= fewestHits;

/**
 * Cuts a film into rounds: between bells where there are any, else where nothing is hit for long. A film in which nothing was
 * heard is one round.
 * @param hits times in order
 */
export function proposedRounds(hits: readonly Ms[], rings: readonly Ring[], duration: Ms): RoundSpan[] {
  const edges = [0, ...rings.map(({ time }) => time), duration];
  const betweenBells = edges
    .slice(1)
    .map((to, place) => ({ from: edges[place]!, to, manner: 'bell' as const }))
    .filter(({ from, to }) => rings.length > 0 && worked(hits, from, to) && isWorkedThrough(hits, from, to));
  const rounds: RoundSpan[] = betweenBells.length > 0 ? betweenBells : betweenRests(hits, duration);
  return rounds.length > 0 ? rounds : [{ from: 0, to: duration, manner: 'free' }];
}

/** A round between bells is worked from end to end; a rest with a few hits at its start is none. */
const isWorkedThrough = (hits: readonly Ms[], from: Ms, to: Ms): boolean => {
  const inside = hitsWithin(hits, from, to);
  return inside.at(-1)! - inside[0]! > (to - from) / 2;
};

function betweenRests(hits: readonly Ms[], duration: Ms): RoundSpan[] {
  const groups: Ms[][] = [];
  for (const time of hits) {
    const last = groups.at(-1)?.at(-1);
    if (last !== undefined && time - last < rest) groups.at(-1)!.push(time);
    else groups.push([time]);
  }
  return groups
    .map((group) => ({
      from: Math.max(0, group[0]! - margin),
      to: Math.min(duration, group.at(-1)! + margin),
      manner: 'free' as const,
    }))
    .filter(({ from, to }) => worked(hits, from, to));
}

/** The first pair of rounds that overlap, or undefined. Rounds may touch. */
export function overlapping<T extends { from: Ms; to: Ms }>(rounds: readonly T[]): [T, T] | undefined {
  const sorted = [...rounds].sort((a, b) => a.from - b.from);
  const place = sorted.findIndex((round, index) => index > 0 && round.from < sorted[index - 1]!.to);
  return place < 0 ? undefined : [sorted[place - 1]!, sorted[place]!];
}

/** A round in thirds: freshness against tiredness. */
export const thirds = ['first', 'middle', 'last'] as const;
export type Third = (typeof thirds)[number];
/** The third of a round in which a moment lies; the last one also after its end. */
export const thirdOfRound = ({ from, to }: { from: Ms; to: Ms }, time: Ms): Third =>
  thirds[Math.max(0, Math.min(2, Math.floor((3 * (time - from)) / (to - from))))]!;
