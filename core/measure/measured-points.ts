import { deviation, mean, variance } from 'd3-array';
import { partOf } from '../body/index.ts';
import { viewNames, viewsInWords, type CheckpointId, type View } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import { bestTrialOf, correctedBy, seenFrom, trialOf, type Errors } from './calibration.ts';
import { shakes, type MeasurableStrike } from './measurable-strike.ts';
import { whyNotByGuesses, type Measured } from './measured.ts';
import { pointMeasureOf, whyNeverRead, type PointMeasure } from './of-points.ts';
import { seenAs } from './point-doubt.ts';
import { bestReadOf, whatIsRead } from './read-from.ts';
import { nearSide, rearOf, type Sight } from './sight.ts';
import { usualTail } from './spread.ts';
import { wideningOf } from './widening.ts';

const none = (reason: string): Measured => ({ value: undefined, reason });
const otherSideView = (view: View): View => (view === 'lead-side' ? 'rear-side' : 'lead-side');

/** Whether the limb that something is about is the nearer one; from the front, from behind and askew it need not be. */
export function isNear(sight: Pick<Sight, 'near' | 'lead' | 'striking' | 'idle'>, { of }: Pick<PointMeasure, 'of'>): boolean {
  if (!of || of === 'holder' || of === 'both' || !sight.near) return true;
  const limb = of === 'rear' ? rearOf(sight) : sight[of];
  return limb === sight.near;
}
/** Other places from which trials say that the same strike tells it. */
function toldFrom({ sight }: MeasurableStrike, checkpoint: CheckpointId, measure: PointMeasure): View[] {
  if (measure.of === 'holder') return [];
  return measure.views.filter((view) => {
    const there = { ...sight, view, near: nearSide(view, sight.lead) };
    return view !== sight.view && isNear(there, measure) && bestTrialOf(checkpoint, seenFrom(there)) !== undefined;
  });
}
/** Why trials tell nothing of it from here, and what to do instead. */
function whyNotTold(one: MeasurableStrike, checkpoint: CheckpointId, measure: PointMeasure): string {
  const from = toldFrom(one, checkpoint, measure);
  return from.length > 0
    ? `From here it cannot be told well enough: film from the ${viewsInWords(from)}.`
    : 'No camera tells it well enough yet: judge it by eye.';
}

/** Why a strike cannot be measured by something, before one tries. @param byHand whether all that it looks at was put there by hand */
function hindrance(one: MeasurableStrike, measure: PointMeasure, byHand: boolean): string | undefined {
  const { view } = one.sight;
  const { views, moments, onlySteps } = measure;
  if (onlySteps && !one.sight.steps) return 'It is measured of steps by themselves, not with a strike.';
  if (!views.includes(view)) return `Not from here: film from the ${viewsInWords(views)}.`;
  if (!isNear(one.sight, measure) && !byHand) {
    return `The body is in front of it: film from the ${viewNames[otherSideView(view)].toLowerCase()}, or pin it by hand.`;
  }
  return whyNotByGuesses(one.strike, moments);
}

/** The numbers that a measure reads when a strike is shaken. */
const readShaken = (sights: readonly Sight[], { read }: PointMeasure): number[] =>
  sights.map(read).filter((one) => one !== undefined && Number.isFinite(one)) as number[];

/**
 * How much of a measure still hangs on the model, and not on pins: by how much of its spread goes when only what no pin holds is
 * shaken. What trials say of the model counts in this share, to first order: what a point is off by moves the measure as shaking it does.
 */
function shareOfModel({ pinned }: MeasurableStrike, measure: PointMeasure): Ratio {
  if (!pinned) return 1;
  // Most rows look at nothing that is pinned: shaken both ways they read the same.
  if (pinned.every.slice(0, 2).every((sight, time) => measure.read(sight) === measure.read(pinned.loose[time]!))) return 1;
  const every = variance(readShaken(pinned.every, measure));
  if (!every) return 1;
  const share = (variance(readShaken(pinned.loose, measure)) ?? every) / every;
  return share <= asGoodAsNone ? 0 : Math.min(1, share);
}
/** What no coach has put there moves the measure by less than this: it is measured by hand. */
const asGoodAsNone: Ratio = 0.05;

/** What the points alone say, with what shaking them makes of it, before any trial corrects it; undefined when they say nothing. */
export function rawMeasure(
  { sight, shaken }: MeasurableStrike,
  measure: PointMeasure,
): { value: number; doubt: number } | undefined {
  const value = measure.read(sight);
  if (value === undefined || !Number.isFinite(value)) return undefined;
  const others = readShaken(shaken(), measure);
  if (others.length < shakes / 2) return undefined;
  // A largest value grows when it is shaken: by as much as it grew, it was too large before.
  return { value: 2 * value - mean(others)!, doubt: deviation(others) ?? 0 };
}

/**
 * Measures one strike by one checkpoint. The doubt is what shaking points and moments makes of it, together with how far the measure
 * was off in trials, made wider as `Widenings` say of the points that it looks at. Where a coach has pinned what it looks at, trials of the model count for less, and
 * for nothing where all of it is pinned: then also the far limb is measured.
 */
export function measureByPoints(strike: MeasurableStrike, checkpoint: CheckpointId): Measured | undefined {
  const measure = pointMeasureOf(checkpoint);
  if (!measure) {
    const reason = whyNeverRead(checkpoint);
    return reason === undefined ? undefined : none(reason);
  }
  const one = bestReadOf(strike, checkpoint, measure);
  if (!one)
    return none(
      'Whoever holds was not followed here: say in the session that the round is on pads, and keep both in the picture.',
    );
  const share = shareOfModel(one, measure);
  const hindered = hindrance(one, measure, share === 0);
  if (hindered) return none(hindered);
  const trial = share === 0 ? byHand : trialOf(checkpoint, seenFrom(one.sight), one.pass);
  if (!trial) return none(whyNotTold(one, checkpoint, measure));
  const raw = rawMeasure(one, measure);
  if (!raw)
    return none(
      'The body was not found here, is hidden, crossed by somebody or partly out of the picture, or this strike does not show it.',
    );
  return correctedBy(trialFor(trial, share), raw, widerFor(share, wideningFor(one, measure)));
}
/** Real gyms are harder on the model; hands that pin are the same there. */
const widerFor = (share: Ratio, wider: Ratio): number => Math.sqrt(share * wider ** 2 + (1 - share));
/** By how much the doubt of a measure is wider than in trials, to first order: that of the points that it looks at, all alike. */
function wideningFor(one: MeasurableStrike, measure: PointMeasure): Ratio {
  const { sight, widenings } = one;
  if (Object.keys(widenings.of).length === 0) return widenings.all;
  const kinds = (whatIsRead(one, measure)?.points ?? []).flatMap((point) => {
    const part = partOf(point);
    return part ? [{ part, seen: seenAs(sight.near, point) }] : [];
  });
  return kinds.length === 0 ? widenings.all : Math.sqrt(mean(kinds, (kind) => wideningOf(widenings, kind) ** 2)!);
}
/** What no model has found is off by nothing that trials of a model know. */
const byHand: Errors = { bias: 0, shared: 0, own: 0, narrower: 1, degrees: usualTail };
const trialFor = ({ bias, shared, own, narrower, degrees }: Errors, share: Ratio): Errors => ({
  bias: bias * share,
  shared: shared * Math.sqrt(share),
  own: own * Math.sqrt(share),
  narrower: 1 - share * (1 - narrower),
  degrees,
});
