import { verdictIn, type Band, type BandVerdict, type Span } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import type { Measured, MeasuredValue } from './measured.ts';
import { shareBelow, usualTail, type Degrees } from './spread.ts';

/** A verdict is proposed only when so much of the spread lies in its band. */
export const leastSure: Ratio = 0.8;

/** What a measured value proposes, for the coach to confirm. */
export interface Proposal {
  /** Undefined when it is too close to call. */
  verdict: BandVerdict | undefined;
  /** How much of the spread lies in the band of what was measured. */
  sure: Ratio;
}

/** What is told of a value without a trial of its own spreads as most do. */
type Spread = Pick<MeasuredValue, 'value' | 'doubt'> & { degrees?: Degrees };

const shareIn = ([from, to]: Span, { value, doubt, degrees = usualTail }: Spread): Ratio =>
  (to === null ? 1 : shareBelow(to, value, doubt, degrees)) - (from === null ? 0 : shareBelow(from, value, doubt, degrees));

/** How much of the spread round `value` lies where it is clean, to watch, and a fault. Together they are 1. */
export function sharesIn({ clean, watch }: Band, measured: Spread): Record<BandVerdict, Ratio> {
  if (measured.doubt <= 0) {
    const verdict = verdictIn({ clean, watch }, measured.value);
    return { clean: Number(verdict === 'clean'), watch: Number(verdict === 'watch'), fault: Number(verdict === 'fault') };
  }
  const inClean = shareIn(clean, measured);
  const inWatch = Math.max(0, shareIn(watch, measured) - inClean);
  return { clean: inClean, watch: inWatch, fault: Math.max(0, 1 - inClean - inWatch) };
}

/** Wider than this, of what is clean or to be watched, a doubt says nothing about a band with two ends. */
const mostOfBand: Ratio = 1 / 3;
/** Whether a measure is too coarse for a band: what spreads wide lies mostly outside of it, whatever is true. */
export const tooCoarse = ({ watch: [from, to] }: Band, doubt: number): boolean =>
  from !== null && to !== null && doubt > (to - from) * mostOfBand;

/** What the measure proposes, if it is sure enough. Never a mark by itself. */
export function proposalFor(band: Band, measured: Measured | Spread): Proposal | undefined {
  if (measured.value === undefined) return undefined;
  const shares = Object.entries(sharesIn(band, measured)) as [BandVerdict, Ratio][];
  const [verdict, sure] = shares.reduce((best, one) => (one[1] > best[1] ? one : best));
  return { verdict: sure >= leastSure && !tooCoarse(band, measured.doubt) ? verdict : undefined, sure };
}
