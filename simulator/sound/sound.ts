import type { Performance } from '../motion/performance.ts';
import { fromRear, isKick } from '../motion/thrown.ts';
import { seededRandom } from '../random.ts';
import type { Scene } from '../scene.ts';
import { bell, breath, hit, inRoom, noise, step, track } from './voices.ts';

/** The sound of a round, mono, −1 to 1: hits, breath, steps, and the room's own murmur with a few reflections. */
export function soundOf(scene: Scene, performance: Performance): Float32Array {
  const random = seededRandom(scene.seed + 9001);
  const { samples, add } = track(performance.seconds);
  for (const strike of performance.strikes) {
    const pushed = strike.faults.some(({ id }) => id === 'smothered' || id === 'leaning-in');
    const weight = (fromRear(strike.technique) ? 0.62 : 0.42) * (isKick(strike.technique) ? 1.3 : 1);
    hit(
      add,
      random,
      strike.contact,
      weight * random.normal(1, 0.1),
      pushed ? random.between(0.05, 0.25) : random.between(0.55, 0.95),
    );
    if (random.next() < 0.85) breath(add, random, strike.contact - 0.07);
    step(add, random, strike.contact - 0.012);
    step(add, random, strike.home + 0.2);
  }
  inRoom(samples);
  for (const ring of performance.rings) bell(add, ring);
  const murmur = noise(random, 60, 900);
  const floor = 10 ** (scene.noise / 20);
  for (let index = 0; index < samples.length; index++) {
    samples[index] = Math.tanh(samples[index]! + murmur() * floor * 3);
  }
  return samples;
}
