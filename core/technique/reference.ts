import type { Checkpoint } from './checkpoint.ts';
import type { Phase } from './family.ts';
import type { View } from './view.ts';

/** The moment at which a reference still shows something: a phase, or the middle of the way there. */
export type StillMoment = Phase | 'way';

/** Judged by the way that is taken, and not by where it ends. */
const byTheWay: readonly string[] = ['sm.straight', 'sm.uppercut-path', 'kk.path', 'kk.chamber'];

/** From where, and when, a checkpoint is seen best. Checkpoints that agree in both share one picture of how it should look. */
export const stillFor = ({ id, views, phase }: Checkpoint): { view: View; moment: StillMoment } => ({
  view: views[0]!,
  moment: byTheWay.includes(id) ? 'way' : phase,
});
