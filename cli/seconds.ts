import type { Ms } from '@wax-fist/core/units';

/** Milliseconds as seconds, to the microsecond. */
export const inSeconds = (time: Ms): number => Math.round(time * 1000) / 1e6;
export const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
export const printJson = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value)}\n`);
