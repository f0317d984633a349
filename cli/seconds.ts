import type { Ms } from '@wax-fist/core/units';
import { InvalidArgumentError } from 'commander';

/** Milliseconds as seconds, to the microsecond. */
export const inSeconds = (time: Ms): number => Math.round(time * 1000) / 1e6;
export const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
export const printJson = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value)}\n`);
/** Times of the command line, seconds with commas between. @throws InvalidArgumentError for what is none, or out of order */
export function timesIn(text: string): Ms[] {
  const times = text.split(',').map((one) => (one.trim() === '' ? NaN : Number(one) * 1000));
  const rising = times.every((time, place) => time >= 0 && (place === 0 || time >= times[place - 1]!));
  if (!rising) throw new InvalidArgumentError('Seconds with commas between, in their order.');
  return times;
}
