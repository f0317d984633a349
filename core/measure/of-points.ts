import type { Moment } from '../strikes/index.ts';
import type { Ms } from '../units.ts';
import { across, sides, views, type CheckpointId, type ShippedCheckpointId, type View } from '../technique/index.ts';
import {
  dwell,
  elbowAngle,
  forearmTilt,
  handTravel,
  overrun,
  pathDeviation,
  preMove,
  reachUse,
  windUp,
  wristBend,
} from './arm.ts';
import { landingHeight } from './landing.ts';
import { headClear, holderLean } from './holding.ts';
import { backInBase, exitTime, hasLeft, timeToBase } from './leaving.ts';
import {
  elbowFlare,
  exposureTime,
  fistElbow,
  guardHeight,
  homeMiss,
  kickHandDrop,
  otherHandDrop,
  otherHandLowest,
  returnDrop,
  returnLowest,
  shoulderChin,
} from './guard.ts';
import {
  chamber,
  chamberedAt,
  kickThrough,
  kneeAngle,
  kneeLift,
  legTilt,
  loadedKnee,
  rearHeel,
  rearSlide,
  shinPath,
  stanceWidth,
  standingHeel,
} from './legs.ts';
import type { Sight } from './sight.ts';
import {
  driveOrder,
  feetGap,
  footDown,
  footHand,
  gapChange,
  heelToe,
  stanceLength,
  leadOrder,
  recoveryRatio,
  stepLength,
  stepOrder,
  switchDrift,
} from './steps.ts';
import { baseFraction, headOffAtContact, headOffAtLaunch, headPitch, hipTravel, legsShare, trunkLean } from './trunk.ts';
import { hipFistLag, kneeElbowLag, leadFootTurn, rearFootAngle, rearFootTurn, shoulderTurn, standingFootTurn } from './turn.ts';

/** How a checkpoint is read from points. */
export interface PointMeasure {
  /** From where it can be seen. */
  views: readonly View[];
  /** The moments that it is read at; what is guessed of them is not measured. */
  moments: readonly Moment[];
  /**
   * Whose limb it is about: seen from across, it tells something only where that limb is the nearer one. Of the holder it is read of
   * the whole body of whoever holds, and of both where it lies between the two.
   */
  of: 'striking' | 'idle' | 'rear' | 'holder' | 'both' | undefined;
  /** It is read of a step by itself, and not of one with a strike. */
  onlySteps: boolean;
  /** In the unit of its measure; undefined where this strike does not show it. */
  read: (sight: Sight) => number | undefined;
  /** The instant that decides it, where that is none of the moments of the strike. */
  when: ((sight: Sight) => Ms | undefined) | undefined;
}
const row = (
  from: readonly View[],
  moments: readonly Moment[],
  read: PointMeasure['read'],
  of?: PointMeasure['of'],
  when?: PointMeasure['when'],
): PointMeasure => ({ views: from, moments, read, of, when, onlySteps: false });
const ofStep = (from: readonly View[], read: PointMeasure['read']): PointMeasure => ({
  ...row(from, ['launch', 'contact'], read),
  onlySteps: true,
});
/** From the front, from behind and askew nothing hides both hands at once. */
const notAcross: readonly View[] = [...across, 'quarter'];

/** What is told beside a row, and has trials of its own. */
export type BesideId = 'home-miss' | 'exposure-time' | 'holder-lean';
/** Something that is read from points: a row, or what is told beside one. */
export type PointMeasureId = ShippedCheckpointId | BesideId;

/** What is read from points, by checkpoint, and by what it is where that is told beside one. A height is a height from wherever one looks. */
export const pointMeasures: Readonly<Partial<Record<PointMeasureId, PointMeasure>>> = {
  'st.lead': row(sides, ['launch', 'contact'], leadOrder),
  'st.width': row(across, ['launch'], stanceWidth),
  'st.length': ofStep(sides, stanceLength),
  'st.heels': row(sides, ['launch'], rearHeel, 'rear'),
  'st.knees': row(sides, ['launch'], kneeAngle),
  'st.lean': row(sides, ['contact'], trunkLean),
  'st.balance': row(sides, ['contact'], baseFraction),
  'st.chin': row(sides, ['contact'], headPitch),
  'gd.height': row(notAcross, ['launch'], guardHeight),
  'gd.elbows': row(across, ['launch'], elbowFlare),
  'gd.other-hand': row(views, ['launch', 'home'], otherHandDrop, 'idle', otherHandLowest),
  'gd.kick-hand': row(views, ['launch', 'home'], kickHandDrop, 'striking'),
  'gd.return-line': row(sides, ['contact', 'home'], returnDrop, 'striking', returnLowest),
  'gd.cover': row(views, ['contact'], shoulderChin, 'striking'),
  'gd.fist-elbow-level': row(views, ['contact'], fistElbow, 'striking'),
  'st.rear-foot': row(sides, ['launch'], rearFootAngle),
  'pv.first-foot': ofStep(views, stepOrder),
  'pv.recover': ofStep(views, recoveryRatio),
  'pv.no-cross': ofStep(views, feetGap),
  'pv.land': ofStep(sides, heelToe),
  'pv.step-size': ofStep(sides, stepLength),
  'pv.sync': row(sides, ['launch', 'contact'], footHand, 'striking', footDown),
  'pv.drive': row(sides, ['contact'], driveOrder),
  'pv.switch': row(views, ['launch', 'contact'], switchDrift),
  'pv.rear-turn': row(sides, ['launch', 'contact'], rearFootTurn),
  'pv.lead-turn': row(sides, ['launch', 'contact'], leadFootTurn),
  'pv.support-turn': row(sides, ['launch', 'contact'], standingFootTurn),
  'pv.calf': row(sides, ['contact'], standingHeel, 'idle'),
  'pv.rear-slide': row(sides, ['launch', 'contact'], rearSlide, 'rear'),
  'pv.knee-elbow': row(sides, ['launch', 'contact'], kneeElbowLag),
  'sm.telegraph': row(sides, ['launch'], preMove, 'striking'),
  'sm.straight': row(across, ['launch', 'contact'], pathDeviation),
  'sm.uppercut-path': row(across, ['launch', 'contact'], pathDeviation),
  'sm.rotation': row(sides, ['launch', 'contact'], shoulderTurn),
  'sm.hip-stop': row([...sides, ...across], ['launch', 'contact'], hipFistLag),
  'sm.wrist': row(views, ['contact'], wristBend, 'striking'),
  'sm.head-off': row(across, ['contact'], headOffAtContact),
  'sm.hook-width': row(across, ['launch'], windUp),
  'sm.hook-stop': row(across, ['contact', 'home'], overrun),
  'sm.hook-angle': row(notAcross, ['contact'], elbowAngle),
  'sm.extension': row(sides, ['contact'], elbowAngle, 'striking'),
  'sm.range': row(sides, ['contact'], reachUse, 'striking'),
  'sm.target': row(views, ['contact'], landingHeight),
  'sm.through': row(sides, ['launch', 'contact', 'home'], dwell, 'striking'),
  'sm.hook-plane': row(views, ['contact'], forearmTilt, 'striking'),
  'sm.load': row(sides, ['launch'], loadedKnee, 'striking'),
  'sm.level': row(views, ['launch', 'contact'], legsShare),
  'el.close': row(sides, ['contact'], reachUse, 'striking'),
  'kk.chamber': row(views, ['launch', 'contact'], chamber, undefined, chamberedAt),
  'kk.level-leg': row(views, ['contact'], legTilt),
  'kk.path': row(across, ['launch', 'contact'], shinPath),
  'kk.upright': row(sides, ['contact'], trunkLean),
  'kk.through': row(views, ['contact', 'home'], kickThrough),
  'kk.step-off': row(across, ['launch'], headOffAtLaunch),
  'kk.return': row(views, ['contact', 'home'], timeToBase, undefined, backInBase),
  'ex.move': row(across, ['contact', 'home'], exitTime, undefined, hasLeft),
  'ex.angle': row(across, ['contact'], headOffAtContact),
  'ex.reset': row(views, ['contact', 'home'], timeToBase),
  'kn.drive': row(sides, ['launch', 'contact'], hipTravel),
  'df.weave': row(views, ['launch', 'contact'], legsShare),
  'df.level': row(views, ['launch', 'contact'], legsShare),
  'df.pull-back': row(sides, ['contact'], trunkLean),
  'df.slip': row(across, ['contact'], headOffAtContact),
  'df.sprawl': row(views, ['contact', 'home'], timeToBase),
  'df.distance': row(sides, ['launch', 'home'], gapChange, 'both'),
  'df.parry': row(notAcross, ['contact'], handTravel),
  'df.check': row(views, ['launch', 'contact'], kneeLift),
  'ph.head-clear': row(sides, ['contact'], headClear, 'holder'),
  'holder-lean': row(sides, ['contact'], holderLean, 'holder'),
  'home-miss': row(views, ['launch', 'home'], homeMiss, 'striking'),
  'exposure-time': row(views, ['launch', 'home'], exposureTime, 'idle'),
};
/** Why nothing reads a row that has a measure. */
const neverRead: Readonly<Partial<Record<ShippedCheckpointId, string>>> = {
  'pv.outside-foot':
    'One camera cannot tell: the two feet are not as far from it, and beside each other they look half a step further apart or closer.',
};
export const whyNeverRead = (id: CheckpointId): string | undefined =>
  (neverRead as Readonly<Record<CheckpointId, string | undefined>>)[id];
/** How a checkpoint, or what is told beside one, is read from points; undefined where it is not. */
export const pointMeasureOf = (id: CheckpointId): PointMeasure | undefined =>
  (pointMeasures as Readonly<Record<CheckpointId, PointMeasure | undefined>>)[id];
/** What is read of whoever holds. */
export const readOfHolder: readonly CheckpointId[] = Object.entries(pointMeasures).flatMap(([id, { of }]) =>
  of === 'holder' ? [id] : [],
);
/** Whether it is read of whoever holds, and not of whoever strikes. */
export const isReadOfHolder = (id: CheckpointId): boolean => readOfHolder.includes(id);
