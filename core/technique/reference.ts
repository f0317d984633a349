import { shippedCatalogue } from './catalogue.ts';
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

/** What shows faults of a technique besides its own pictures and, for a series, those of its strikes. */
const shownBesides: Readonly<Record<string, readonly string[]>> = {
  'punch-step': ['jab', 'jab-cross-step'],
  'step-back': ['step-and-recover'],
  'step-lead-side': ['step-and-recover'],
  'step-rear-side': ['step-and-recover'],
  'in-and-out': ['step-and-recover'],
  'in-and-out-twice': ['in-and-out', 'step-and-recover'],
  'in-and-out-thrice': ['in-and-out', 'step-and-recover'],
  'pad-called': ['jab', 'cross', 'lead-hook', 'holding'],
  'pad-free': ['jab', 'cross', 'slip', 'holding'],
};

/** Folder of the pictures of how somebody stands and holds the hands, whatever is thrown from it. */
export const anyTechnique = 'any';

/** Where to look for a picture of a technique, in order: its own, those of its parts, and those that hold for everything. */
export const picturesOf = (technique: string): readonly string[] => [
  technique,
  ...new Set(shippedCatalogue.techniques.get(technique)?.parts),
  ...(shownBesides[technique] ?? []),
  anyTechnique,
];
