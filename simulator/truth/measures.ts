import {
  beyondClean,
  checklistFor,
  isMeasureId,
  shippedCatalogue,
  usualSchool,
  type Band,
  type ShippedCheckpointId,
} from '@wax-fist/core/technique';
import type { BesideId, PointMeasureId } from '@wax-fist/core/measure';
import type { Performance, ThrownPart, ThrownStrike } from '../motion/thrown-round.ts';
import { partsOf, type Thrown } from '../motion/technique/thrown.ts';
import type { Single } from '../motion/technique/single.ts';
import { chamber, kickLean, kickThrough, kneeLift, legReach, legTilt, shinPath } from './kicking.ts';
import { headClear, holderLean } from './holding.ts';
import { exitAngle, exitTime, timeToBase } from './leaving.ts';
import {
  elbowFlare,
  guardHeight,
  headPitch,
  heelHeight,
  kneeAngle,
  leadOrder,
  rearFootAngle,
  stanceLength,
  stanceWidth,
} from './ready.ts';
import { seenOf, type Seen } from './seen.ts';
import {
  driveOrder,
  feetGap,
  footHand,
  footLane,
  gapChange,
  heelToe,
  recoveryRatio,
  stepLength,
  stepOrder,
  switchDrift,
} from './stepping.ts';
import * as striking from './striking.ts';

/** Spread of the gaps between the beats of the round, over their mean. */
function beatVariation({ round }: Seen): number | undefined {
  const gaps = round.hits.slice(1).map(({ at }, place) => at - round.hits[place]!.at);
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
  return gaps.length < 3 ? undefined : Math.sqrt(gaps.reduce((sum, gap) => sum + (gap - mean) ** 2, 0) / gaps.length) / mean;
}

export type TrueValues = Partial<Record<PointMeasureId, number>>;
type TrueMeasure = (seen: Seen) => number | undefined;

const isKick = ({ part }: Seen): boolean => part.model.kind === 'kick';
/** Of the hand that has nothing to do; where neither has, of the one that falls further. */
const handsDrop: TrueMeasure = (one) => {
  const { model } = one.part;
  const drop = striking.otherHandDrop(one);
  return model.kind === 'move' && !model.limb ? Math.max(drop, striking.otherHandDrop({ ...one, idle: one.striking })) : drop;
};

/** The true value of every checkpoint that has a measure, in that measure's unit. What concerns a whole round is told of rounds. */
const trueMeasure: Partial<Record<ShippedCheckpointId, TrueMeasure>> = {
  'st.lead': leadOrder,
  'st.width': ({ ready }) => stanceWidth(ready),
  'st.length': ({ ready, strike, at }) => stanceLength(strike.feet ? at(strike.feet.contact + 0.02) : ready),
  'st.rear-foot': rearFootAngle,
  'st.heels': ({ ready }) => heelHeight(ready, 'right'),
  'st.knees': ({ ready }) => kneeAngle(ready),
  'st.lean': (one) => (isKick(one) ? kickLean(one) : striking.trunkLean(one)),
  'st.balance': striking.baseFraction,
  'st.chin': ({ landed }) => headPitch(landed),
  'gd.height': ({ ready }) => guardHeight(ready),
  'gd.elbows': ({ ready }) => elbowFlare(ready),
  'gd.other-hand': handsDrop,
  'gd.kick-hand': (one) => striking.otherHandDrop({ ...one, idle: one.striking }),
  'gd.return-line': striking.returnDrop,
  'gd.cover': striking.shoulderChin,
  'gd.fist-elbow-level': striking.fistElbow,
  'pv.rear-turn': (one) => striking.footPivot(one, 'right'),
  'pv.lead-turn': (one) => striking.footPivot(one, 'left'),
  'pv.support-turn': (one) => striking.footPivot(one, one.idle),
  'pv.calf': ({ landed, idle }) => heelHeight(landed, idle),
  'pv.knee-elbow': striking.kneeElbowLag,
  'pv.first-foot': stepOrder,
  'pv.recover': recoveryRatio,
  'pv.no-cross': feetGap,
  'pv.step-size': stepLength,
  'pv.land': heelToe,
  'pv.sync': footHand,
  'pv.rear-slide': striking.rearSlide,
  'pv.drive': driveOrder,
  'pv.outside-foot': footLane,
  'df.distance': gapChange,
  'pv.switch': switchDrift,
  'sm.telegraph': striking.preMove,
  'sm.straight': striking.pathDeviation,
  'sm.wrist': striking.wristBend,
  'sm.extension': striking.elbowAngle,
  'sm.range': (one) => (isKick(one) ? legReach(one) : striking.reachUse(one)),
  'sm.rotation': striking.shoulderTurn,
  'sm.hip-stop': striking.hipFistLag,
  'sm.target': striking.landingHeight,
  'sm.snap': striking.trueSnapRatio,
  'sm.through': striking.dwell,
  'sm.hook-angle': striking.elbowAngle,
  'sm.hook-plane': striking.forearmTilt,
  'sm.hook-width': striking.windUp,
  'sm.hook-stop': striking.overrun,
  'sm.uppercut-path': striking.pathDeviation,
  'sm.load': striking.loadedKnee,
  'sm.level': striking.legsShare,
  'sm.head-off': (one) => striking.headOffset(one.landed, one),
  'el.close': striking.reachUse,
  'kk.chamber': chamber,
  'kk.level-leg': legTilt,
  'kk.path': shinPath,
  'kk.upright': kickLean,
  'kk.return': timeToBase,
  'kk.through': kickThrough,
  'kk.step-off': (one) => striking.headOffset(one.at(one.part.launch), one),
  'kn.drive': striking.hipTravel,
  'df.slip': (one) => striking.headOffset(one.landed, one),
  'df.weave': striking.legsShare,
  'df.level': striking.legsShare,
  'df.pull-back': striking.trunkLean,
  'df.parry': striking.handTravel,
  'df.check': kneeLift,
  'df.sprawl': timeToBase,
  'rh.even': beatVariation,
  'ex.move': exitTime,
  'ex.angle': exitAngle,
  'ex.reset': timeToBase,
  'ph.head-clear': headClear,
};
/** What is told beside rows. */
const trueBesides: Readonly<Record<BesideId, TrueMeasure>> = {
  'home-miss': striking.homeMiss,
  'exposure-time': striking.exposureTime,
  'holder-lean': holderLean,
};
const trueOf: Partial<Record<PointMeasureId, TrueMeasure>> = { ...trueMeasure, ...trueBesides };
const besideOf = (id: ShippedCheckpointId): BesideId | undefined =>
  shippedCatalogue.checkpoints.get(id)?.besides as BesideId | undefined;

/** What is true of whoever holds. */
const ofHolder: readonly PointMeasureId[] = ['ph.head-clear', 'holder-lean'];
/** What is true between both, of a strike by itself. */
const ofBoth: readonly PointMeasureId[] = ['df.distance'];
/** What is true where somebody holds for a strike, or a part of a series, whatever that is judged by; nothing where nobody does. */
export function trueOfHolder(round: Performance, strike: ThrownStrike, part: ThrownPart): TrueValues {
  const seen = seenOf(round, strike, part);
  return Object.fromEntries(
    [...ofHolder, ...(strike.parts.length === 1 ? ofBoth : [])].flatMap((id) => {
      const value = trueOf[id]!(seen);
      return value === undefined ? [] : [[id, value]];
    }),
  );
}

/** What is told of the feet of a series as a whole. */
export const ofTheWhole: readonly ShippedCheckpointId[] = [
  'pv.first-foot',
  'pv.recover',
  'pv.no-cross',
  'pv.step-size',
  'pv.land',
  'pv.drive',
  'ex.move',
  'ex.angle',
  'ex.reset',
  'df.distance',
];
/** What a technique is judged by and has a measure, with the band of it. */
function rowsOf(technique: Thrown): ReadonlyMap<ShippedCheckpointId, Band | undefined> {
  const known =
    rows.get(technique) ??
    new Map(
      checklistFor(shippedCatalogue, technique, { school: usualSchool, view: 'quarter' })
        .filter(({ checkpoint }) => isMeasureId(checkpoint.measure))
        .map(({ checkpoint, band }) => [checkpoint.id as ShippedCheckpointId, band]),
    );
  rows.set(technique, known);
  return known;
}
const rows = new Map<string, ReadonlyMap<ShippedCheckpointId, Band | undefined>>();

/** Parts of a technique that a checkpoint is read from: those that are judged by it, with the same band, or else the last. */
export function judgedParts(technique: Thrown, id: ShippedCheckpointId): Single[] {
  const band = rowsOf(technique).get(id);
  const parts = partsOf(technique);
  const judged = parts.filter((part) => part === technique || (rowsOf(part).has(id) && sameBand(rowsOf(part).get(id), band)));
  return judged.length > 0 ? judged : parts.slice(-1);
}
const sameBand = (a: Band | undefined, b: Band | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);
/** A series is as good as the worst of its parts that are judged; whether it was telegraphed is seenOf from the first. */
function valueOf(parts: readonly Seen[], id: ShippedCheckpointId, technique: Thrown): number | undefined {
  const measure = trueMeasure[id];
  if (!measure) return undefined;
  if (id === 'sm.telegraph') return measure(parts[0]!);
  if (ofTheWhole.includes(id)) return measure(parts.at(-1)!);
  const asked = ofHolder.includes(id) ? partsOf(technique) : judgedParts(technique, id);
  const values = parts.filter(({ part }) => asked.includes(part.technique)).flatMap((one) => measure(one) ?? []);
  if (values.length === 0) return undefined;
  const band = rowsOf(technique).get(id);
  return values.reduce((worst, value) => (band && beyondClean(band, value) <= beyondClean(band, worst) ? worst : value));
}

/** True values by checkpoint, of everything that the technique is judged by or of what is asked for. */
export function trueMeasures(
  round: Performance,
  strike: ThrownStrike,
  wanted: Iterable<ShippedCheckpointId> = rowsOf(strike.technique).keys(),
): TrueValues {
  const parts = strike.parts.map((part) => seenOf(round, strike, part));
  const values: TrueValues = {};
  for (const id of wanted) {
    const value = valueOf(parts, id, strike.technique);
    if (value !== undefined) values[id] = value;
    const beside = besideOf(id);
    // Of a series as a whole it is not told.
    if (beside && parts.length === 1) values[beside] = trueBesides[beside](parts[0]!)!;
  }
  return values;
}
