import { motionOf, motionStep, windowAt } from '@wax-fist/core/strikes';
import { seededRandom } from '../random.ts';
import type { Examples } from '../training/train.ts';
import type { Unfilmed } from './unfilmed.ts';

/** A step this near to a contact is the strike; one that is a little farther away is neither that nor nothing. Milliseconds. */
const [reach, unclear] = [26, 90];
/** Of the steps in which nothing lands, so many are kept: more of those near a strike. */
const [keptNear, keptFar] = [0.35, 0.12];

/** Every step of a film in which something lands, and some in which nothing does. The first class is nothing. */
export function examplesOfMotion({ body, thrown }: Unfilmed, classes: readonly string[], seed: number): Examples {
  const random = seededRandom(seed);
  const motion = motionOf(body);
  const examples: Examples = { rows: [], classes: [] };
  const landed = thrown
    .map(({ technique, contact }) => ({ place: classes.indexOf(technique), at: contact * 1000 }))
    .filter(({ place }) => place > 0);
  for (let step = 0; step < motion.steps; step++) {
    const time = step * motionStep;
    const near = landed.reduce((best, one) => (Math.abs(one.at - time) < Math.abs(best.at - time) ? one : best), {
      place: 0,
      at: -Infinity,
    });
    const away = Math.abs(near.at - time);
    if (away > reach && (away < unclear || random.next() > (away < 500 ? keptNear : keptFar))) continue;
    const window = windowAt(motion, step);
    if (!window) continue;
    examples.rows.push(window);
    examples.classes.push(away <= reach ? near.place : 0);
  }
  return examples;
}
