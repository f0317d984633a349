import { pinSpread, pointCount, pointNames } from '../body/index.ts';
import { gapAt, timeOf } from '../film/index.ts';
import { moments, type Moment, type StrikeMoments } from '../strikes/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { doubtOfFound, withFoundMoments, type FoundName } from './found-moments.ts';
import type { FollowedFilm } from './followed-film.ts';
import { steadyNormals, steadyRandom } from './shake.ts';
import { holdingPads, isStep, sidesOf, sightOf, strikePoints, type Shake, type Sight, type Thrown } from './sight.ts';
import type { Widenings } from './widening.ts';

/** So often a strike is shaken to see how far its numbers spread: the same way each time. */
export const shakes = 24;
/** How far a point jumps from frame to frame without reason, in lengths of the trunk: hands and elbows twice as far as all else. */
const [jitter, jitterOfArms]: readonly [Ratio, Ratio] = [0.006, 0.013];
const jitterOf = pointNames.map((name) => (/Elbow|Wrist|Knuckle|Thumb/.test(name) ? jitterOfArms : jitter));

/** One strike, ready to be measured again and again: what it looks like, and what it looks like shaken. */
export interface MeasurableStrike {
  strike: StrikeMoments;
  /** What is doubted of its moments, where they were found on the path of a limb. */
  doubts: Readonly<Record<FoundName, Ms>>;
  sight: Sight;
  shaken: readonly Sight[];
  /** How much more is doubted of what it looks at than trials say. */
  widenings: Widenings;
  /** Where points were put right by hand: the strike with every point shaken as the model is, and with those that no pin holds. */
  pinned: { every: readonly Sight[]; loose: readonly Sight[] } | undefined;
  /** Whoever holds for it, at the same moments; undefined where nobody was followed beside whoever strikes. */
  held?: MeasurableStrike | undefined;
}

/** How far a moment may be off, now one way and now the other. @param found what is doubted of it, where it was found on a path @param random from 0 to 1 @param normal normally spread */
const momentShift = (found: Ms | undefined, gap: Ms, random: number, normal: number): Ms =>
  found === undefined ? (random - 0.5) * gap : found * normal;

/**
 * Makes a strike measurable; undefined when nobody was found in it. What is guessed of its moments is found on the path of its limb,
 * where that tells.
 * @param technique by which it is judged
 * @param spreadOf by how much a point is spread from frame to frame, in lengths of the trunk; by its place among the points
 */
export function measurable(
  film: FollowedFilm,
  told: StrikeMoments,
  technique: Thrown,
  spreadOf: (point: number) => Ratio = (point) => jitterOf[point]!,
): MeasurableStrike | undefined {
  const { timeline } = film;
  const points = strikePoints(film, told);
  if (points.places.every((place) => Number.isNaN(place))) return undefined;
  const strike = withFoundMoments(film, told, technique, points);
  const doubts = doubtOfFound(film, technique);
  const random = steadyRandom(strike.contactFrame + 1);
  const normal = steadyNormals(strike.contactFrame);
  const heldAt = (place: number): Ratio => points.held?.[place] ?? 0;
  /** @param spreadAt by how much each point of each frame is spread, in lengths of the trunk; worked out once, asked a hundred thousand times */
  const shakeBy = (spreadAt: (place: number) => Ratio): ((time: number) => Shake) => {
    const spreads = Float64Array.from({ length: points.places.length / 2 }, (_, place) => spreadAt(place) * film.size.torso);
    return (time) => {
      const normalOf = steadyNormals(strike.contactFrame + 1 + time);
      return (index) => spreads[index >> 1]! * normalOf(index);
    };
  };
  const ofModel = (place: number): Ratio => spreadOf(place % pointCount);
  const sides = { ...sidesOf(film.view, film.stance, technique), steps: isStep(technique) };
  const seenAs = (shift: (moment: Moment) => Ms, shake?: Shake): Sight => {
    const at = (moment: Moment): Ms => timeOf(timeline, strike[`${moment}Frame`]) + shift(moment);
    return sightOf(film, points, sides, { launch: at('launch'), contact: at('contact'), home: at('home') }, shake);
  };
  const shiftOf =
    (time: number) =>
    (moment: Moment): Ms =>
      momentShift(
        moment !== 'contact' && strike[`${moment}Origin`] === 'found' ? doubts[moment] : undefined,
        gapAt(timeline, strike[`${moment}Frame`]),
        random(),
        normal(time * moments.length + moments.indexOf(moment)),
      );
  const still = (): Ms => 0;
  const times = Array.from({ length: shakes }, (_, time) => time);
  const shakenBy = (spreadAt: (place: number) => Ratio): Sight[] => {
    const shake = shakeBy(spreadAt);
    return times.map((time) => seenAs(still, shake(time)));
  };
  const shaking = shakeBy((place) => {
    const held = heldAt(place);
    return Math.hypot((1 - held) * ofModel(place), held * pinSpread);
  });
  return {
    strike,
    doubts,
    widenings: film.widenings,
    sight: seenAs(still),
    shaken: times.map((time) => seenAs(shiftOf(time), shaking(time))),
    pinned: points.held && { every: shakenBy(ofModel), loose: shakenBy((place) => (1 - heldAt(place)) * ofModel(place)) },
    held: film.holder && measurable(film.holder, strike, holdingPads, spreadOf),
  };
}
