import { findHits, hitsOf, noHitEdits } from '@wax-fist/core/sound';
import { quantile, sum } from 'd3-array';
import { seededRandom } from '../simulator/random.ts';
import { encodedBy, type Encoder } from '../simulator/recordings/encoded.ts';
import { gymSound, type Gym } from '../simulator/recordings/gym.ts';
import { heardRate, libraryFor } from '../simulator/recordings/library.ts';
import { score, type Score } from './hearing.ts';
import type { Line } from './table.ts';

/** A gym as it is tried, and what is asked of the ears there. */
interface Trial {
  name: string;
  gym: Gym;
  encoder?: Encoder;
  /** Least F1, where anything is hit. */
  least?: number;
  /** Most that is made up in a minute, where nothing is. */
  most?: number;
}

const quiet: Gym = { seconds: 60, hits: true, hall: 0 };
const nobody: Gym = { ...quiet, hits: false, hall: 0.3 };
const trials: readonly Trial[] = [
  { name: 'clean', gym: quiet, least: 0.99 },
  { name: 'a hall', gym: { ...quiet, hall: 1.2 }, least: 0.97 },
  { name: 'a phone, AAC', gym: quiet, encoder: 'aac', least: 0.97 },
  { name: 'a phone in a room, Opus', gym: { ...quiet, hall: 0.4 }, encoder: 'opus', least: 0.97 },
  { name: 'automatic gain', gym: { ...quiet, hall: 0.3, automaticGain: true }, least: 0.97 },
  { name: 'speech 10 dB below', gym: { ...quiet, backdrop: { by: 'speech', below: 10 } }, least: 0.92 },
  { name: 'speech 5 dB below', gym: { ...quiet, backdrop: { by: 'speech', below: 5 } } },
  { name: 'music 10 dB below', gym: { ...quiet, backdrop: { by: 'music', below: 10 } }, least: 0.93 },
  { name: 'music 5 dB below', gym: { ...quiet, backdrop: { by: 'music', below: 5 } }, least: 0.85 },
  { name: 'a band with drums 10 dB below', gym: { ...quiet, backdrop: { by: 'band', below: 10 } } },
  {
    name: 'steps and breath',
    gym: {
      ...quiet,
      hall: 0.3,
      short: [
        { by: 'step', below: 14, everySecond: 1.5 },
        { by: 'breath', below: 12, everySecond: 1 },
      ],
    },
  },
  { name: 'a second bag 12 dB below', gym: { ...quiet, hall: 0.5, secondBag: 12 } },
  {
    name: 'a rope alone',
    gym: {
      ...nobody,
      short: [
        { by: 'tick', below: 0, everySecond: 2.4 },
        { by: 'step', below: 4, everySecond: 2.4 },
      ],
    },
    most: 5,
  },
  { name: 'footwork alone', gym: { ...nobody, short: [{ by: 'step', below: 0, everySecond: 2 }] }, most: 5 },
  { name: 'speech alone', gym: { ...nobody, backdrop: { by: 'speech', below: 0 } }, most: 5 },
];
/** Every trial is made so often, each with another bag. */
const bags = 10;

const total = (scores: readonly Score[], key: 'right' | 'told' | 'there'): number => sum(scores, (one) => one[key]);
const f1Of = (scores: readonly Score[]): number =>
  (2 * total(scores, 'right')) / (total(scores, 'told') + total(scores, 'there'));

/** The ears on recordings that were neither trained nor tuned on, at the usual sensitivity. @param recordings see simulator/fetch-recordings.sh */
export async function benchRecordedHits(recordings: string): Promise<Line[]> {
  const library = await libraryFor('proof', recordings);
  const everything: Score[] = [];
  const lines = trials.map(({ name, gym, encoder, least, most }): Line => {
    const scores = Array.from({ length: bags }, (_, bag) => {
      const sound = gymSound(library, seededRandom(1000 + 17 * bag), gym);
      const samples = encoder ? encodedBy(encoder, sound.samples) : sound.samples;
      const told = hitsOf({ sound: findHits(samples, heardRate) }, noHitEdits).map(({ time }) => time);
      return score(told, sound.hits);
    });
    everything.push(...scores);
    const madeUp = (total(scores, 'told') - total(scores, 'right')) / ((bags * gym.seconds) / 60);
    const f1 = f1Of(scores);
    return {
      what: `recorded hits, ${name}`,
      measured: `${gym.hits ? `F1 ${f1.toFixed(3)}, found ${((100 * total(scores, 'right')) / total(scores, 'there')).toFixed(0)}%, ` : ''}${madeUp.toFixed(1)} made up a minute`,
      target: least ? `F1 ≥ ${least}` : most ? `≤ ${most} a minute` : '',
      reached: (least === undefined || f1 >= least) && (most === undefined || madeUp <= most),
    };
  });
  const overall = f1Of(everything);
  const late = quantile(
    everything.flatMap(({ errors }) => errors),
    0.95,
  )!;
  return [
    ...lines,
    { what: 'recorded hits, all together', measured: `F1 ${overall.toFixed(3)}`, target: 'F1 ≥ 0.9', reached: overall >= 0.9 },
    { what: 'recorded hits, time p95', measured: `${late.toFixed(1)} ms`, target: '≤ 8 ms', reached: late <= 8 },
  ];
}
