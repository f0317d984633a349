import { bandPowers, bandStep, heardPowers, hitFeatures, onsetClasses, onsetsIn } from '@wax-fist/core/sound';
import { seededRandom, type Random } from '../random.ts';
import { encodedBy } from '../recordings/encoded.ts';
import { gymSound, type Gym } from '../recordings/gym.ts';
import { heardRate, type Library } from '../recordings/library.ts';
import type { Examples } from '../training/train.ts';

/** An onset is a hit's when it begins within this of it. Milliseconds. */
const reach = 30;

const chance = (random: Random, share: number): boolean => random.next() < share;

/** A gym as they are: some quiet, some loud, some with nobody at the bag. */
export function anyGym(random: Random): Gym {
  const short: Gym['short'] = [];
  const hits = chance(random, 0.78);
  const quieter = (): number => (hits ? random.between(2, 22) : random.between(-3, 12));
  if (chance(random, 0.45)) short.push({ by: 'step', below: quieter(), everySecond: random.between(0.5, 3) });
  if (chance(random, 0.2)) short.push({ by: 'tick', below: quieter(), everySecond: random.between(1.5, 3.5) });
  if (chance(random, 0.35)) short.push({ by: 'breath', below: quieter(), everySecond: random.between(0.4, 2) });
  const by = (['speech', 'speech', 'music', 'music', 'note', 'band'] as const)[Math.floor(random.next() * 6)]!;
  return {
    seconds: 30,
    hits,
    backdrop: chance(random, 0.7) ? { by, below: random.between(0, 22) } : undefined,
    short,
    secondBag: hits && chance(random, 0.2) ? random.between(8, 20) : undefined,
    hall: chance(random, 0.4) ? 0 : random.between(0.2, 1.6),
    automaticGain: chance(random, 0.2),
  };
}

/** The onsets of one stretch, each a hit or not. What another bag sounds like is neither right nor wrong. */
export function examplesOf(library: Library, seed: number): Examples {
  const random = seededRandom(seed);
  const gym = gymSound(library, random, anyGym(random), true);
  const stored = random.next();
  const samples = stored < 0.15 ? encodedBy('aac', gym.samples) : stored < 0.3 ? encodedBy('opus', gym.samples) : gym.samples;
  const bands = bandPowers(samples, heardRate);
  const onsets = onsetsIn(bands, heardPowers(bands));
  const rows = hitFeatures(samples, heardRate, bands, onsets);
  const near = (times: readonly number[], at: number): boolean => times.some((time) => Math.abs(time - at) < reach);
  const examples: Examples = { rows: [], classes: [] };
  for (const [place, { begin }] of onsets.entries()) {
    const own = near(gym.hits, begin * bandStep);
    if (!own && near(gym.otherHits, begin * bandStep)) continue;
    examples.rows.push(rows[place]!);
    examples.classes.push(onsetClasses.indexOf(own ? 'hit' : 'other'));
  }
  return examples;
}
