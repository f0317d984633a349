import type { Ms } from '../units.ts';
import { bellPattern, longestWarning, ringTolerance, shortestWarning, workOf } from './bell-pattern.ts';
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
 * Cuts a film into rounds: by the turn of work and rest that its bells ring, else between single bells, and where nothing is hit
 * for long. A ring shortly before another one warns of it and ends nothing; a bell that was not heard is supplied by the others;
 * what was worked outside of the bells is kept. A film in which nothing was heard is one round.
 * @param hits times in order
 */
export function proposedRounds(hits: readonly Ms[], rings: readonly Ring[], duration: Ms): RoundSpan[] {
  const rung = rings
    .map(({ time }) => time)
    .filter((time) => time >= 0 && time <= duration)
    .sort((a, b) => a - b);
  const byBell = rung.length > 0 ? betweenBells(hits, rung, duration) : [];
  const rounds = [...byBell, ...outside(byBell, hits, duration)].sort((a, b) => a.from - b.from);
  return rounds.length > 0 ? rounds : [{ from: 0, to: duration, manner: 'free' }];
}

function betweenBells(hits: readonly Ms[], rings: readonly Ms[], duration: Ms): RoundSpan[] {
  const pattern = bellPattern({ rings, hits, duration });
  const byBell = ({ from, to }: { from: Ms; to: Ms }): RoundSpan => ({ from, to, manner: 'bell' });
  if (pattern) {
    const heard = (time: Ms): Ms => rings.find((ring) => Math.abs(ring - time) <= ringTolerance) ?? time;
    return workOf(pattern, { rings, duration })
      .map(({ from, to }) => byBell({ from: heard(from), to: heard(to) }))
      .filter(({ from, to }) => worked(hits, from, to));
  }
  const edges = [0, ...rings.filter((_, place) => !isWarning(rings, place, hits)), duration];
  return edges
    .slice(1)
    .map((to, place) => byBell({ from: edges[place]!, to }))
    .filter(({ from, to }) => worked(hits, from, to) && isWorkedThrough(hits, from, to));
}

/** A ring warns when another one follows it shortly, and work goes on until then. */
function isWarning(rings: readonly Ms[], place: number, hits: readonly Ms[]): boolean {
  const [ring, next] = [rings[place]!, rings[place + 1]];
  if (next === undefined || next - ring < shortestWarning || next - ring > longestWarning) return false;
  const before = hitsWithin(hits, 2 * ring - next, ring).length;
  return before > 0 && hitsWithin(hits, ring, next).length >= before / 2;
}

/** A round between bells is worked from end to end; a rest with a few hits at its start is none. */
const isWorkedThrough = (hits: readonly Ms[], from: Ms, to: Ms): boolean => {
  const inside = hitsWithin(hits, from, to);
  return inside.at(-1)! - inside[0]! > (to - from) / 2;
};

const paceOf = (hits: readonly Ms[], spans: readonly { from: Ms; to: Ms }[]): number =>
  spans.reduce((count, { from, to }) => count + hitsWithin(hits, from, to).length, 0) /
  spans.reduce((length, { from, to }) => length + to - from, 1);

/** What was worked before, between and after these rounds, at no less than half their pace: talk and steps in a rest are slower. */
function outside(rounds: readonly RoundSpan[], hits: readonly Ms[], duration: Ms): RoundSpan[] {
  const edges = [0, ...rounds.flatMap(({ from, to }) => [from, to]), duration];
  const leastPace = rounds.length > 0 ? paceOf(hits, rounds) / 2 : 0;
  return Array.from({ length: rounds.length + 1 }, (_, gap) => [edges[2 * gap]!, edges[2 * gap + 1]!] as const)
    .flatMap(([from, to]) => betweenRests(hitsWithin(hits, from, to === duration ? Infinity : to), from, to))
    .filter((stretch) => paceOf(hits, [stretch]) >= leastPace);
}

function betweenRests(hits: readonly Ms[], earliest: Ms, latest: Ms): RoundSpan[] {
  const groups: Ms[][] = [];
  for (const time of hits) {
    const last = groups.at(-1)?.at(-1);
    if (last !== undefined && time - last < rest) groups.at(-1)!.push(time);
    else groups.push([time]);
  }
  return groups
    .map((group) => ({
      from: Math.max(earliest, group[0]! - margin),
      to: Math.min(latest, group.at(-1)! + margin),
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
