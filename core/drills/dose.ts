import { clockTime, counted } from '../words/index.ts';
import type { Seconds } from '../units.ts';
import type { Dose } from './drill.ts';

/** How long it takes, without a rest after the last round. */
export const doseLength = ({ rounds, work, rest }: Pick<Dose, 'rounds' | 'work' | 'rest'>): Seconds =>
  rounds * work + Math.max(0, rounds - 1) * rest;

/** A dose in words: `2 rounds of 1:30, 0:30 between, 10 with each lead`. */
export function doseInWords({ each, rounds, work, rest }: Dose): string {
  const times = each === null ? '' : `, ${each} with each lead`;
  return `${counted(rounds, 'round')} of ${clockTime(work)}${rounds > 1 ? `, ${clockTime(rest)} between` : ''}${times}`;
}
