/** From and to, both included; null is open. */
export type Span = readonly [from: number | null, to: number | null];

/** Where a measure is clean, and where it is one to watch; beyond is a fault. */
export interface Band {
  clean: Span;
  watch: Span;
}
/** Where a value lies: in what is clean, in what one watches, or beyond both. */
export type BandVerdict = 'clean' | 'watch' | 'fault';

/** Whether a value lies in a span, its ends included. */
export const within = ([from, to]: Span, value: number): boolean => value >= (from ?? -Infinity) && value <= (to ?? Infinity);

/** Where a value lies in a band. */
export const verdictIn = ({ clean, watch }: Band, value: number): BandVerdict =>
  within(clean, value) ? 'clean' : within(watch, value) ? 'watch' : 'fault';

/** How far a value lies past what is clean, on whichever side; below nought within it, the less the further it is from both ends. */
export const pastClean = ({ clean: [from, to] }: Band, value: number): number =>
  Math.max((from ?? -Infinity) - value, value - (to ?? Infinity));
/** The same as far as it is beyond: nought for everything that is clean. */
export const beyondClean = (band: Band, value: number): number => Math.max(pastClean(band, value), 0);

/** What is wrong with a band, in words; undefined when nothing is. */
export function bandProblem({ clean, watch }: Band): string | undefined {
  const ends = [...clean, ...watch].filter((end) => end !== null);
  if (ends.length === 0) return 'A band needs at least one end.';
  if (ends.some((end) => !Number.isFinite(end))) return 'The ends of a band are numbers.';
  for (const [from, to] of [clean, watch]) if (from !== null && to !== null && from >= to) return 'A band ends after it begins.';
  const lower = (watch[0] ?? -Infinity) <= (clean[0] ?? -Infinity);
  const higher = (watch[1] ?? Infinity) >= (clean[1] ?? Infinity);
  return lower && higher ? undefined : 'What is clean lies inside of what is one to watch.';
}
