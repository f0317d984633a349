import type { Ms } from '../units.ts';

/** Work and rest in turn, as a timer rings them. */
export interface BellPattern {
  /** When some stretch of work begins; others begin every `work + rest` before and after. */
  start: Ms;
  work: Ms;
  rest: Ms;
}

/** A ring this near to where one is expected is that one. */
export const ringTolerance: Ms = 1500;
/** A ring that comes so long before another one warns of it. */
export const [shortestWarning, longestWarning]: readonly [Ms, Ms] = [4000, 16_000];
/** What a timer is set to. */
const [shortestWork, shortestRest]: readonly [Ms, Ms] = [10_000, 5000];
/** Rings between the ends of one stretch, at most: warnings, and strokes that were taken for rings of their own. */
const most = 4;
/** In a rest it is hit at most this often, against work. */
const restPace = 0.5;
/** Fewer rings in their places are no pattern. */
const fewestInPlace = 3;
/** What a ring counts that only warns, and what one costs that should be there and is not heard. */
const [warningCounts, unheardCosts] = [0.8, 0.6];

interface Heard {
  /** In order; at least one. */
  rings: readonly Ms[];
  /** In order. */
  hits: readonly Ms[];
  duration: Ms;
}

/** Stretches of work that a pattern has between the first ring and the last, or cut off by them and the ends of the film. */
export function workOf({ start, work, rest }: BellPattern, { rings, duration }: Omit<Heard, 'hits'>): { from: Ms; to: Ms }[] {
  const period = work + rest;
  const [first, last] = [rings[0]! - ringTolerance, rings.at(-1)! + ringTolerance];
  const stretches: { from: Ms; to: Ms }[] = [];
  for (let from = start - Math.ceil((start + work) / period) * period; from < duration && from <= last; from += period) {
    if (from + work > ringTolerance && from + work >= first)
      stretches.push({ from: Math.max(0, from), to: Math.min(duration, from + work) });
  }
  return stretches;
}

const isAt = (one: Ms, other: Ms): boolean => Math.abs(one - other) <= ringTolerance;

/** How well a pattern explains the rings: those in their places, those that warn, and those that are not heard. */
function fit(stretches: readonly { from: Ms; to: Ms }[], rings: readonly Ms[]): number {
  const bounds = stretches.flatMap(({ from, to }) => [from, to]);
  const [first, last] = [rings[0]!, rings.at(-1)!];
  const strays = rings.filter((ring) => !bounds.some((bound) => isAt(ring, bound)));
  const inPlace = rings.length - strays.length;
  if (inPlace < fewestInPlace) return 0;
  const warns = (ring: Ms): boolean => bounds.some((bound) => bound - ring >= shortestWarning && bound - ring <= longestWarning);
  const unheard = bounds.filter((bound) => bound > first && bound < last && !rings.some((ring) => isAt(ring, bound)));
  return inPlace + warningCounts * strays.filter(warns).length - unheardCosts * unheard.length;
}

/** Whether it is hit in work and not in rest. */
function isWorked(stretches: readonly { from: Ms; to: Ms }[], hits: readonly Ms[]): boolean {
  const [from, to] = [stretches[0]!.from, stretches.at(-1)!.to];
  const worked = stretches.reduce((sum, one) => sum + one.to - one.from, 0);
  const within = hits.filter((hit) => hit >= from && hit < to);
  const inWork = within.filter((hit) => stretches.some((one) => hit >= one.from && hit < one.to)).length;
  const rested = to - from - worked;
  return rested <= 0 || (within.length - inWork) / rested <= restPace * (inWork / worked);
}

/** Times between rings that are not far from each other; each once, to the half second. */
function spansBetween(rings: readonly Ms[]): Ms[] {
  const spans = rings.flatMap((ring, place) => rings.slice(place + 1, place + 1 + most).map((next) => next - ring));
  return [...new Map(spans.map((span) => [Math.round(span / 500), span])).values()];
}

/**
 * The turn of work and rest that explains the rings of a film best: every span between rings that could be work, from every ring on,
 * is tried with every one that could be rest. Undefined when there are too few rings, or when the hits speak against it.
 */
export function bellPattern(heard: Heard): BellPattern | undefined {
  const { rings, hits } = heard;
  const spans = spansBetween(rings);
  let best: { pattern: BellPattern; score: number } | undefined;
  for (const start of rings) {
    for (const work of spans.filter((span) => span >= shortestWork)) {
      for (const rest of spans.filter((span) => span >= shortestRest)) {
        const pattern = { start, work, rest };
        const stretches = workOf(pattern, heard);
        if (stretches.length === 0) continue;
        const score = fit(stretches, rings);
        if (score > (best?.score ?? 0) && isWorked(stretches, hits)) best = { pattern, score };
      }
    }
  }
  return best?.pattern;
}
