import type { Impact, Performance } from '../motion/thrown-round.ts';
import { stations, type Station } from '../motion/station.ts';
import { speedBagRhythm } from '../motion/technique/speed-bag.ts';
import { seededRandom, type Random } from '../random.ts';
import type { Scene } from '../scene.ts';
import { disturb } from './disturb.ts';
import { bell, breath, hit, inRoom, noise, padHit, speedBagHit, footstep, track, type Add } from './voices.ts';

/** What a hit sounds like, by what is hit. */
const voices: Record<Station['sound'], (add: Add, random: Random, hit: Impact) => void> = {
  bag: (add, random, { at, weight, snap }) => hit(add, random, at, weight, snap),
  pad: (add, random, { at, weight, snap }) => padHit(add, random, at, weight, snap),
  'speed-bag': (add, random, { at, weight }) => speedBagHit(add, random, at, weight, speedBagRhythm),
  none: () => undefined,
};

/** The sound of a round, mono, −1 to 1: hits, breath, steps, the room's own murmur with a few reflections, and what else is heard. */
export function soundOfScene(scene: Scene, performance: Performance): Float32Array {
  const random = seededRandom(scene.seed + 9001);
  const { samples, add } = track(performance.seconds);
  for (const one of performance.hits) {
    voices[stations[one.on].sound](add, random, one);
    if (random.next() < 0.85) breath(add, random, one.at - 0.07);
  }
  for (const { contact, home, feet } of performance.strikes) {
    for (const at of feet
      ? [feet.launch + 0.5 * (feet.contact - feet.launch), feet.contact, feet.home]
      : [contact - 0.012, home + 0.2])
      footstep(add, random, at);
  }
  inRoom(samples);
  for (const ring of performance.rings) bell(add, ring);
  disturb(
    samples,
    performance.hits.map(({ at }) => at),
    scene.sounds ?? [],
    scene.seed,
  );
  const murmur = noise(random, 60, 900);
  const floor = 10 ** (scene.noise / 20);
  for (let index = 0; index < samples.length; index++) {
    samples[index] = Math.tanh(samples[index]! + murmur() * floor * 3);
  }
  return samples;
}
