import { verdictIn, type Band, type BandVerdict, type Span } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import type { Measured, MeasuredValue } from './measured.ts';
import { shareBelow } from './spread.ts';

/** A verdict is proposed only when so much of the spread lies in its band. */
export const leastSure: Ratio = 0.8;

/** What a measured value proposes, for the coach to confirm. */
export interface Proposal {
  /** Undefined when it is too close to call. */
  verdict: BandVerdict | undefined;
  /** How much of the spread lies in the band of what was measured. */
  sure: Ratio;
}

const shareIn = ([from, to]: Span, value: number, doubt: number): Ratio =>
  (to === null ? 1 : shareBelow(to, value, doubt)) - (from === null ? 0 : shareBelow(from, value, doubt));

/** How much of the spread round `value` lies where it is clean, to watch, and a fault. Together they are 1. */
export function sharesIn({ clean, watch }: Band, value: number, doubt: number): Record<BandVerdict, Ratio> {
  if (doubt <= 0) {
    const verdict = verdictIn({ clean, watch }, value);
    return { clean: Number(verdict === 'clean'), watch: Number(verdict === 'watch'), fault: Number(verdict === 'fault') };
  }
  const inClean = shareIn(clean, value, doubt);
  const inWatch = Math.max(0, shareIn(watch, value, doubt) - inClean);
  return { clean: inClean, watch: inWatch, fault: Math.max(0, 1 - inClean - inWatch) };
}

/** Wider than this, of what is clean or to be watched, a doubt says nothing about a band with two ends. */
const mostOfBand: Ratio = 1 / 3;
/** Whether a measure is too coarse for a band: what spreads wide lies mostly outside of it, whatever is true. */
export const tooCoarse = ({ watch: [from, to] }: Band, doubt: number): boolean =>
  from !== null && to !== null && doubt > (to - from) * mostOfBand;

/** What the measure proposes, if it is sure enough. Never a mark by itself. */
export function proposalFor(band: Band, measured: Measured | Pick<MeasuredValue, 'value' | 'doubt'>): Proposal | undefined {
  if (measured.value === undefined) return undefined;
  const shares = Object.entries(sharesIn(band, measured.value, measured.doubt)) as [BandVerdict, Ratio][];
  const [verdict, sure] = shares.reduce((best, one) => (one[1] > best[1] ? one : best));
  return { verdict: sure >= leastSure && !tooCoarse(band, measured.doubt) ? verdict : undefined, sure };
}
