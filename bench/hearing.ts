import { median, quantile } from 'd3-array';
import { alignSounds, findHits, hitsOf, noHitEdits } from '@wax-fist/core/sound';
import { disturbances, type Disturbance } from '../simulator/sound/disturbance.ts';
import { practiceSound, thirdOf, type Practice } from '../simulator/sound/practice.ts';
import { twoMicrophones } from '../simulator/sound/two-microphones.ts';
import { matched } from './matching.ts';
import type { Line } from './table.ts';

const rate = 16_000;
const seeds = [11, 12, 13];
const seconds = 60;
/** A hit counts as found within this many milliseconds. */
const reach = 50;

export interface Score {
  right: number;
  told: number;
  there: number;
  errors: number[];
}

export function score(told: readonly number[], truth: readonly number[]): Score {
  const errors = matched(told, (time) => time, truth, reach).of.flatMap((time, place) =>
    time === undefined ? [] : Math.abs(time - truth[place]!),
  );
  return { right: errors.length, told: told.length, there: truth.length, errors };
}

interface Mix {
  name: string;
  disturbed: NonNullable<Practice['disturbed']>;
  least: number | undefined;
}
const leastAt: Record<number, number | undefined> = { 20: 0.93, 10: 0.93 };
const all = (decibels: number) => disturbances.map((by: Disturbance) => ({ by, decibels: decibels + 10 * Math.log10(3) }));
const mixes: Mix[] = [
  { name: 'clean', disturbed: [], least: 0.98 },
  ...[20, 10, 5].flatMap((decibels): Mix[] => [
    ...disturbances.map((by) => ({
      name: `${by} ${decibels} dB below`,
      disturbed: [{ by, decibels }],
      least: leastAt[decibels],
    })),
    { name: `all three, ${decibels} dB below together`, disturbed: all(decibels), least: leastAt[decibels] },
  ]),
];

/** The hit finder against the simulated truth, at the usual sensitivity. */
export function benchHits(): Line[] {
  const lines: Line[] = [];
  const speeds: number[] = [];
  for (const { name, disturbed, least } of mixes) {
    const scores = seeds.map((seed) => {
      const { samples, hits } = practiceSound({ seed, seconds, on: 'bag', disturbed });
      const low = thirdOf(samples);
      const begun = performance.now();
      const found = findHits(low, rate);
      speeds.push((seconds * 1000) / (performance.now() - begun));
      return score(
        hitsOf({ sound: found }, noHitEdits).map(({ time }) => time),
        hits.map(({ at }) => at * 1000),
      );
    });
    const total = (key: 'right' | 'told' | 'there'): number => scores.reduce((sum, one) => sum + one[key], 0);
    const f1 = (2 * total('right')) / (total('told') + total('there'));
    const p95 = quantile(
      scores.flatMap(({ errors }) => errors),
      0.95,
    )!;
    const wrong = `${total('there') - total('right')} missed, ${total('told') - total('right')} made up of ${total('there')}`;
    lines.push({
      what: `hits, ${name}: F1, time p95`,
      measured: `${f1.toFixed(3)}, ${p95.toFixed(1)} ms (${wrong})`,
      target: least ? `F1 ≥ ${least}, p95 ≤ 12 ms` : 'p95 ≤ 12 ms',
      reached: f1 >= (least ?? 0) && p95 <= 12,
    });
  }
  const speed = median(speeds)!;
  return [
    ...lines,
    { what: 'hit finder, times real time, median', measured: speed.toFixed(0), target: '≥ 100', reached: speed >= 100 },
  ];
}

/** Two microphones on the same three minutes. */
export function benchAlignment(): Line[] {
  const errors = [
    { seed: 31, offset: 842.7, drift: 0 },
    { seed: 32, offset: -2310.4, drift: 0.00003 },
    { seed: 33, offset: 5129.1, drift: -0.00005 },
  ].flatMap(({ seed, offset, drift }) => {
    const [one, other] = twoMicrophones({ seed, seconds: 180, offset, drift });
    const found = alignSounds(thirdOf(one), thirdOf(other), rate);
    return [0, 90_000, 180_000].map((at) => Math.abs(at * ((found?.drift ?? 0) - drift) + (found?.offset ?? Infinity) - offset));
  });
  const worst = Math.max(...errors);
  return [
    {
      what: 'two views of 3 minutes on one clock, worst',
      measured: `${worst.toFixed(2)} ms`,
      target: '≤ 5 ms',
      reached: worst <= 5,
    },
  ];
}
