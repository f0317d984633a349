import type { Seconds } from '@wax-fist/core/units';
import { seededRandom } from '../random.ts';
import { disturb } from './disturb.ts';
import type { Disturbance } from './disturbance.ts';
import { beep, bell, breath, hit, inRoom, noise, footstep, track } from './voices.ts';

/** A round of hits to be heard only, for trying what listens. */
export interface Practice {
  seed: number;
  seconds: Seconds;
  /** What is hit: a heavy bag in combinations, or a speed bag in its steady beat. */
  on: 'bag' | 'speed-bag';
  /** Seconds at which a round begins or ends, with what is rung there. */
  rings?: { at: number; by: 'bell' | 'beep' }[];
  /** Spans of seconds in which nothing is hit. */
  rests?: [number, number][];
  /** Other sounds, so much quieter than the hits (decibels; see `practiceSound`). */
  disturbed?: { by: Disturbance; decibels: number }[];
}

export interface PracticeSound {
  samples: Float32Array;
  /** When each hit lands, seconds, and how snappy it was (0 a push, 1 a crack). */
  hits: { at: number; snap: number; loudness: number }[];
}

const speedBagBeat = 0.23;

/**
 * Hits with their breath and steps in a room, and what disturbs them. See `disturb` for the decibels.
 */
export function practiceSound({ seed, seconds, on, rings = [], rests = [], disturbed = [] }: Practice): PracticeSound {
  const random = seededRandom(seed);
  const { samples, add } = track(seconds);
  const hits: PracticeSound['hits'] = [];
  const resting = (at: number): boolean => rests.some(([from, to]) => at >= from - 0.5 && at <= to + 0.5);
  const strike = (at: number): void => {
    if (resting(at) || at > seconds - 0.5) return;
    const one = { at, snap: random.between(0.1, 0.95), loudness: 0.5 * 10 ** (random.normal(0, 3) / 20) };
    hits.push(one);
    hit(add, random, at, one.loudness, one.snap);
    if (on === 'bag' && random.next() < 0.8) breath(add, random, at - 0.07);
  };
  let at = 1;
  while (at < seconds - 1) {
    if (on === 'speed-bag') {
      // Now and then a hand comes late and one beat is lost.
      if (random.next() > 0.04) strike(at);
      at += random.normal(speedBagBeat, 0.006);
      continue;
    }
    const thrown = 1 + Math.floor(random.next() * 4);
    for (let place = 0; place < thrown; place++) {
      strike(at);
      at += random.between(0.16, 0.42);
    }
    footstep(add, random, at);
    at += random.between(0.9, 2.2);
  }
  inRoom(samples);
  for (const ring of rings) (ring.by === 'bell' ? bell : beep)(add, ring.at);

  disturb(
    samples,
    hits.map(({ at: moment }) => moment),
    disturbed,
    seed,
  );
  const murmur = noise(random, 60, 900);
  for (let index = 0; index < samples.length; index++) samples[index] = Math.tanh(samples[index]! + murmur() * 0.003);
  return { samples, hits };
}

/** A third of the samples, what lies above the new limit taken away first (a windowed sinc of 49 taps). */
export function thirdOf(samples: Float32Array): Float32Array {
  const reach = 24;
  const taps = Float64Array.from({ length: 2 * reach + 1 }, (_, place) => {
    const x = (place - reach) / 3;
    const window = 0.5 + 0.5 * Math.cos((Math.PI * (place - reach)) / (reach + 1));
    return ((x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x)) * window) / 3;
  });
  const third = new Float32Array(Math.floor(samples.length / 3));
  for (let index = 0; index < third.length; index++) {
    // Only what is there: asked for a sample before its beginning, an array looks for a property of that name, ten times as long.
    const begins = index * 3 - reach;
    const last = Math.min(taps.length, samples.length - begins);
    let sum = 0;
    for (let place = Math.max(0, -begins); place < last; place++) sum += taps[place]! * samples[begins + place]!;
    third[index] = sum;
  }
  return third;
}
