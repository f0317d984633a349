import type { Ms, Ratio } from '../units.ts';
import { against, chancesOf, type Network } from '../network/index.ts';
import { peaksApart } from '../peaks.ts';
import { motionStep, windowAt, type Motion } from './body-motion.ts';

/** Something that a body did: when it was farthest out, how likely it was anything at all, and what it may have been. */
export interface SeenStrike {
  time: Ms;
  chance: Ratio;
  /** Every technique with its chance, given that it was one; the likeliest first. */
  names: { technique: string; chance: Ratio }[];
}

/** The class of a network of the eyes that stands for nothing. */
export const nothing = 'none';
/** The class that stands for a feint, whichever strike it is of: its technique. */
export const feinted = 'feint';
/** Two strikes are never closer than this. */
const apart: Ms = 130;
/** Chances are told over so many steps to either side. */
const reach = 2;
/** What is less likely is not told at all. */
const leastChance: Ratio = 0.05;
/**
 * A network that is asked for the very instant shares its chance out over the instants beside it: with so much of the weight of
 * nothing, a strike is as likely as it turns out to be on bodies that were never trained on.
 */
const weightOfNothing = 0.25;

/** Networks are shown feints so many times as often as they are thrown, which is about once in forty: too few would be learned from else. */
const feintsShown = 4;

/** Strikes and defences that a body's motion shows, in order of time. @param network one that was trained for the camera's side */
export function seeStrikes(motion: Motion, network: Network): SeenStrike[] {
  const classes = network.classes.length;
  const none = network.classes.indexOf(nothing);
  const feint = network.classes.indexOf(feinted);
  const chances = new Float32Array(motion.steps * classes);
  for (let step = 0; step < motion.steps; step++) {
    const window = windowAt(motion, step);
    if (window) chances.set(asThrown(chancesOf(network, window), feint), step * classes);
    else chances[step * classes + none] = 1;
  }
  const smooth = Float32Array.from({ length: motion.steps }, (_, step) => {
    let [sum, count] = [0, 0];
    for (let near = Math.max(0, step - 1); near <= Math.min(motion.steps - 1, step + 1); near++) {
      sum += 1 - chances[near * classes + none]!;
      count++;
    }
    return sum / count;
  });
  return peaksApart(smooth, leastChance, Math.ceil(apart / motionStep)).map((step) => {
    const sums = new Float32Array(classes);
    for (let near = Math.max(0, step - reach); near <= Math.min(motion.steps - 1, step + reach); near++)
      for (let place = 0; place < classes; place++) if (place !== none) sums[place]! += chances[near * classes + place]!;
    const all = sums.reduce((sum, one) => sum + one, 1e-9);
    const names = network.classes
      .map((technique, place) => ({ technique, chance: sums[place]! / all }))
      .filter(({ technique }) => technique !== nothing)
      .sort((a, b) => b.chance - a.chance);
    return { time: step * motionStep, chance: against(smooth[step]!, weightOfNothing), names };
  });
}

/** Chances of classes as they are where feints are as seldom as they are. @param feint its place; −1 where it is not told */
function asThrown(chances: readonly Ratio[], feint: number): readonly Ratio[] {
  if (feint < 0) return chances;
  const left = 1 - chances[feint]! * (1 - 1 / feintsShown);
  return chances.map((chance, place) => (place === feint ? chance / feintsShown : chance) / left);
}
