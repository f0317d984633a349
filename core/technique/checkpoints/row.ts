import type { Phase } from '../../strikes/index.ts';
import type { Family, Severity, WalkStop } from '../family.ts';
import type { MeasureId } from '../measure.ts';
import { across, sides, views, type View } from '../view.ts';

/** Whom a checkpoint is about: whoever strikes, or whoever holds the pads for them. */
export const subjects = ['trainee', 'holder'] as const;
export type Subject = (typeof subjects)[number];

/** One observable thing with a clean-or-fault decision. */
export interface Checkpoint {
  id: string;
  family: Family;
  /** Where the eye goes for it. */
  stop: WalkStop;
  /** The still that shows it best. */
  phase: Phase;
  subject: Subject;
  /** Two or three words for charts and rows. */
  name: string;
  question: string;
  clean: string;
  faults: readonly string[];
  why: string;
  /** Short enough to be shouted. At least one. */
  cues: readonly string[];
  severity: Severity;
  /** Views from which it can be judged. */
  views: readonly View[];
  /** What measures it; else only the coach can tell. */
  measure: MeasureId | 'eye' | 'ear';
  /** What else is measured of the same thing. It is told beside it, and no verdict hangs on it. */
  besides?: MeasureId;
  /** Frames a second below which it is over between two frames. */
  leastRate: number;
  /** Checkpoints upstream: their faults often bring this one about. */
  causes: readonly string[];
}

/** What stands still long enough for every camera. */
export const slow = 0;
/** What is over in a few hundredths of a second. */
export const quick = 50;

/** Judged from every view. */
export const everywhere: readonly View[] = views;
/** Judged from where depth is seen. */
export const sideOrQuarter: readonly View[] = [...sides, 'quarter'];
/** Judged from where width is seen. */
export const frontOrQuarter: readonly View[] = ['front', 'quarter'];
/** Judged from the front or the lead side. */
export const frontOrSide: readonly View[] = ['front', 'lead-side'];
/** Judged from everywhere but behind. */
export const notRear: readonly View[] = ['front', ...sides, 'quarter'];
export { across, sides };
