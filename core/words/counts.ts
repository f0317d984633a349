import type { FaultRate } from '../correction/index.ts';
import type { Ratio } from '../units.ts';

const halves = (count: number): string => (Number.isInteger(count) ? String(count) : `${Math.floor(count) || ''}½`);

/** “14½ of 24”; a watch is half a fault. What measures say is worth so many strikes, and never a whole number of them. */
export const faultsOfSeen = ({ faults, seen }: Pick<FaultRate, 'faults' | 'seen'>): string =>
  Number.isInteger(seen) && Number.isInteger(2 * faults)
    ? `${halves(faults)} of ${seen}`
    : `about ${Math.round(faults)} of ${Math.round(seen)}, with measures`;

export const percent = (share: Ratio): string => `${Math.round(share * 100)}%`;

/** A rate in words; never a bare percentage when too few were seen. */
export const rateInWords = (rate: FaultRate): string =>
  rate.seen === 0
    ? 'nothing seen'
    : rate.enough
      ? `${percent(rate.rate)} (${percent(rate.low)}–${percent(rate.high)})`
      : 'too few to say';

export const counted = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
