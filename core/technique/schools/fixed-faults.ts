import { bandProblem, type Band, type Span } from '../band.ts';
import type { ShippedCheckpointId } from '../checkpoint.ts';
import type { ShippedTechniqueId } from '../technique.ts';

/** What is a fault in every school, whatever the switches and the club’s own bands say. */
export interface FixedFault {
  checkpoint: ShippedCheckpointId;
  /** Those in which it is one; `every` wherever the checkpoint is looked at, in a club’s own techniques as well. */
  techniques: readonly ShippedTechniqueId[] | 'every';
  /** Beyond this a measure is a fault; none where no measure tells it. */
  within?: Span;
  says: string;
}

const straights = [
  'jab',
  'cross',
  'jab-cross-static',
  'jab-cross-step',
  'jab-cross-diagonal',
  'jab-cross-closed-side',
  'jab-cross-open-side',
  'jab-cross-back',
  'jab-cross-drive',
] as const;
const fullRounds = ['rear-round', 'lead-round', 'switch-round', 'step-off-round', 'alternating-round'] as const;

/** Faults in every school, because somebody gets hurt. */
export const fixedFaults: readonly FixedFault[] = [
  { checkpoint: 'sm.extension', techniques: 'every', within: [null, 178], says: 'An elbow locked at full speed' },
  { checkpoint: 'sm.wrist', techniques: 'every', within: [null, 18], says: 'A wrist bent on contact' },
  {
    checkpoint: 'pv.support-turn',
    techniques: fullRounds,
    within: [45, null],
    says: 'A standing foot that does not turn on a full round kick',
  },
  {
    checkpoint: 'pv.lead-turn',
    techniques: ['lead-hook', 'double-lead-hook', 'lead-body-hook'],
    within: [20, null],
    says: 'A lead foot planted on a hard lead hook',
  },
  {
    checkpoint: 'sm.target',
    techniques: 'every',
    says: 'An uppercut at belt height, a blow behind the side seam or below the belt line',
  },
  { checkpoint: 'gd.other-hand', techniques: 'every', within: [null, 1.2], says: 'An idle hand below the chest' },
  { checkpoint: 'pv.no-cross', techniques: 'every', within: [0.4, null], says: 'Feet that cross' },
  // Hips that go back take the shoulders forward: the trunk folds over the front foot.
  { checkpoint: 'st.lean', techniques: straights, within: [null, 25], says: 'Hips poked back on straights' },
  { checkpoint: 'sm.level', techniques: 'every', within: [0.3, null], says: 'A level changed by bending at the waist' },
  { checkpoint: 'ph.head-clear', techniques: 'every', says: 'A holder’s head behind the pad' },
];

/** The fixed fault of a checkpoint in a technique; undefined where schools may differ. */
export const fixedFor = (technique: string, checkpoint: string): FixedFault | undefined =>
  fixedFaults.find(
    (fault) =>
      fault.checkpoint === checkpoint &&
      (fault.techniques === 'every' || (fault.techniques as readonly string[]).includes(technique)),
  );

const tightest = ([from, to]: Span, [least, most]: Span): Span => [
  least === null ? from : Math.max(from ?? least, least),
  most === null ? to : Math.min(to ?? most, most),
];

/** The band with its ends drawn in to what no school allows beyond; an end that would vanish stays at the fixed one. */
export function drawnIn(band: Band, { within }: FixedFault): Band {
  if (!within) return band;
  const inside = { clean: tightest(band.clean, within), watch: tightest(band.watch, within) };
  return bandProblem(inside) ? { clean: within, watch: within } : inside;
}
