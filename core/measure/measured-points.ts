import { deviation, mean } from 'd3-array';
import { otherSideOf, pointCount, pointNames } from '../body/index.ts';
import { gapAt, timeOf } from '../film/index.ts';
import { moments, type Moment, type StrikeMoments } from '../strikes/index.ts';
import { viewNames, type CheckpointId, type Technique, type View } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { correctedBy, seenFrom, trialOf } from './calibration.ts';
import { doubtOfFound, withFoundMoments, type FoundName } from './found-moments.ts';
import { whyNotByGuesses, type Measured } from './measured.ts';
import { pointMeasureOf, type PointMeasure } from './of-points.ts';
import { steadyNormals, steadyRandom } from './shake.ts';
import { sightOf, strikePoints, type Shake, type Sight } from './sight.ts';
import type { FollowedFilm } from './followed-film.ts';

/** So often a strike is shaken to see how far its numbers spread: the same way each time. */
const shakes = 24;
/** How far a point jumps from frame to frame without reason, in lengths of the trunk: hands and elbows twice as far as all else. */
const [jitter, jitterOfArms]: readonly [Ratio, Ratio] = [0.006, 0.013];
const jitterOf = pointNames.map((name) => (/Elbow|Wrist|Knuckle|Thumb/.test(name) ? jitterOfArms : jitter));
/**
 * Trials are made with footage whose truth is known, which is made by a machine; gyms are darker, clothes wider, and somebody walks
 * through. Until a club's own pins tell how much, doubt is taken to be wider by this.
 */
export const widerThanTrials = 1.5;

/** One strike, ready to be measured again and again: what it looks like, and what it looks like shaken. */
export interface MeasurableStrike {
  strike: StrikeMoments;
  /** What is doubted of its moments, where they were found on the path of a limb. */
  doubts: Readonly<Record<FoundName, Ms>>;
  sight: Sight;
  shaken: readonly Sight[];
}

/** How far a moment may be off, now one way and now the other. @param found what is doubted of it, where it was found on a path @param random from 0 to 1 @param normal normally spread */
const momentShift = (found: Ms | undefined, gap: Ms, random: number, normal: number): Ms =>
  found === undefined ? (random - 0.5) * gap : found * normal;

/**
 * Makes a strike measurable; undefined when nobody was found in it. What is guessed of its moments is found on the path of its limb,
 * where that tells. @param technique by which it is judged
 */
export function measurable(
  film: FollowedFilm,
  told: StrikeMoments,
  technique: Pick<Technique, 'side' | 'kind'>,
): MeasurableStrike | undefined {
  const { timeline } = film;
  const points = strikePoints(film, told);
  if (points.places.every((place) => Number.isNaN(place))) return undefined;
  const strike = withFoundMoments(film, told, technique, points);
  const doubts = doubtOfFound(film, technique);
  const random = steadyRandom(strike.contactFrame + 1);
  const normal = steadyNormals(strike.contactFrame * 7 + 3);
  const numbers = points.places.length;
  const shakeOf =
    (time: number): Shake =>
    (index) =>
      jitterOf[(index >> 1) % pointCount]! * film.size.torso * normal(time * numbers + index);
  const seenAs = (shift: (moment: Moment) => Ms, shake?: Shake): Sight => {
    const at = (moment: Moment): Ms => timeOf(timeline, strike[`${moment}Frame`]) + shift(moment);
    return sightOf(film, points, technique, { launch: at('launch'), contact: at('contact'), home: at('home') }, shake);
  };
  const shiftOf =
    (time: number) =>
    (moment: Moment): Ms =>
      momentShift(
        moment !== 'contact' && strike[`${moment}Origin`] === 'found' ? doubts[moment] : undefined,
        gapAt(timeline, strike[`${moment}Frame`]),
        random(),
        normal(-1 - time * moments.length - moments.indexOf(moment)),
      );
  return {
    strike,
    doubts,
    sight: seenAs(() => 0),
    shaken: Array.from({ length: shakes }, (_, time) => seenAs(shiftOf(time), shakeOf(time))),
  };
}

const none = (reason: string): Measured => ({ value: undefined, reason });
const listed = (names: readonly string[]): string => names.join(names.length > 2 ? ', ' : ' or ');
const otherSideView = (view: View): View => (view === 'lead-side' ? 'rear-side' : 'lead-side');
const namesOf = (views: readonly View[]): string => listed(views.map((view) => viewNames[view].toLowerCase()));

/** Whether the limb that something is about is the nearer one; from the front, from behind and askew it need not be. */
export function isNear({ sight }: MeasurableStrike, { of }: Pick<PointMeasure, 'of'>): boolean {
  if (!of || !sight.near) return true;
  const limb = of === 'rear' ? otherSideOf(sight.lead) : sight[of];
  return limb === sight.near;
}
/** Why a strike cannot be measured by something, before one tries. */
function hindrance(one: MeasurableStrike, measure: PointMeasure): string | undefined {
  const { view } = one.sight;
  const { views, moments } = measure;
  if (!views.includes(view)) return `Not from here: film from the ${namesOf(views)}.`;
  if (!isNear(one, measure)) return `The body is in front of it: film from the ${viewNames[otherSideView(view)].toLowerCase()}.`;
  return whyNotByGuesses(one.strike, moments);
}

/** What the points alone say, with what shaking them makes of it, before any trial corrects it; undefined when they say nothing. */
export function rawMeasure(
  { sight, shaken }: MeasurableStrike,
  { read }: PointMeasure,
): { value: number; doubt: number } | undefined {
  const value = read(sight);
  if (value === undefined || !Number.isFinite(value)) return undefined;
  const others = shaken.map(read).filter((one) => one !== undefined && Number.isFinite(one));
  if (others.length < shakes / 2) return undefined;
  // A largest value grows when it is shaken: by as much as it grew, it was too large before.
  return { value: 2 * value - mean(others)!, doubt: deviation(others) ?? 0 };
}

/**
 * Measures one strike by one checkpoint. The doubt is what shaking points and moments makes of it, together with how far the measure
 * was off in trials, made wider by `widerThanTrials`.
 */
export function measureByPoints(one: MeasurableStrike, checkpoint: CheckpointId): Measured | undefined {
  const measure = pointMeasureOf(checkpoint);
  if (!measure) return undefined;
  const hindered = hindrance(one, measure);
  if (hindered) return none(hindered);
  const trial = trialOf(checkpoint, seenFrom(one.sight));
  if (!trial) return none('From here it cannot be told well enough.');
  const raw = rawMeasure(one, measure);
  if (!raw) return none('The body was not found, or this strike does not show it.');
  return correctedBy(trial, raw, widerThanTrials);
}
