import type { Checkpoint } from './checkpoint.ts';
import type { Phase } from '../strikes/index.ts';
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

/** Name of the picture of how a checkpoint looks where a school chooses otherwise than usual. */
export const schoolStill = (checkpointId: string, switchId: string, choiceId: string): string =>
  `${checkpointId}.${switchId}.${choiceId}`;

const jabCross = ['cross', 'jab'] as const;
/** What is taught as one and consists of others: their pictures of faults show its faults as well. */
const partsShown: Readonly<Record<string, readonly string[]>> = {
  'jab-cross-static': jabCross,
  'jab-cross-step': jabCross,
  'jab-cross-diagonal': jabCross,
  'jab-cross-slip': jabCross,
  'jab-cross-closed-side': jabCross,
  'jab-cross-open-side': jabCross,
  'jab-cross-back': jabCross,
  'jab-cross-drive': jabCross,
  'punch-step': ['jab', 'jab-cross-step'],
  'in-and-out': [...jabCross, 'step-and-recover'],
  'double-lead-hook': ['lead-hook', 'lead-body-hook'],
  'alternating-round': ['rear-round', 'switch-round'],
  'uppercut-bag-set': ['rear-uppercut', 'lead-uppercut', 'lead-hook', 'rear-hook'],
  'rope-trap': ['lead-hook', 'jab'],
  'swing-shuffle': ['lead-hook', 'rear-hook'],
  'pad-called': [...jabCross, 'lead-hook', 'holding'],
  'pad-free': [...jabCross, 'slip', 'holding'],
};

/** Folder of the pictures of how somebody stands and holds the hands, whatever is thrown from it. */
export const anyTechnique = 'any';

/** Where to look for a picture of a technique, in order: its own, those of its parts, and those that hold for everything. */
export const picturesOf = (technique: string): readonly string[] => [technique, ...(partsShown[technique] ?? []), anyTechnique];
