import { pinSpread, pointCount, pointNames } from '../body/index.ts';
import { gapAt, timeOf } from '../film/index.ts';
import { moments, type Moment, type StrikeMoments } from '../strikes/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { doubtOfFound, doubtOfMoment, withFoundMoments, type MomentDoubts } from './found-moments.ts';
import { isLookedAtAgain, steadyFilm, type FollowedFilm } from './followed-film.ts';
import type { Pass, Steadiness } from './seen.ts';
import { normalAt, normalRow, steadyRandom } from './shake.ts';
import {
  holdingPads,
  isStep,
  sidesOf,
  sightOf,
  sinksFirst,
  strikePoints,
  type SeenPoints,
  type StrikePoints,
  type Shake,
  type Sight,
  type Thrown,
} from './sight.ts';
import type { Widenings } from './widening.ts';

/** So often a strike is shaken to see how far its numbers spread: the same way each time. */
export const shakes = 12;
/** How far a point jumps from frame to frame without reason, in lengths of the trunk: hands and elbows twice as far as all else. */
const [jitter, jitterOfArms]: readonly [Ratio, Ratio] = [0.006, 0.013];
const jitterOf = pointNames.map((name) => (/Elbow|Wrist|Knuckle|Thumb/.test(name) ? jitterOfArms : jitter));

/** One strike, ready to be measured again and again: what it looks like, and what it looks like shaken. */
export interface MeasurableStrike {
  strike: StrikeMoments;
  /** By which pass its points were found, and how steady they are read. */
  pass: Pass;
  steadiness: Steadiness;
  doubts: MomentDoubts;
  sight: Sight;
  shaken: () => readonly Sight[];
  /** How much more is doubted of what it looks at than trials say. */
  widenings: Widenings;
  /** Where points were put right by hand: the strike with every point shaken as the model is, and with those that no pin holds. */
  pinned: { every: readonly Sight[]; loose: readonly Sight[] } | undefined;
  /** The same strike as it is read from a steadier track, at the same moments. */
  steady: (steadiness: Steadiness) => MeasurableStrike;
  /** Whoever holds for it, at the same moments; undefined where nobody was followed beside whoever strikes. */
  held?: MeasurableStrike | undefined;
  /** The same strike by the points of a second pass, at the same moments; undefined where it has not been looked at again. */
  again?: MeasurableStrike | undefined;
}

/** How far a moment may be off, now one way and now the other. @param found what is doubted of it, where it was found on a path or only seen @param random from 0 to 1 @param normal normally spread */
const momentShift = (found: Ms | undefined, gap: Ms, random: number, normal: number): Ms =>
  found === undefined ? (random - 0.5) * gap : found * normal;

/**
 * Makes a strike measurable; undefined when nobody was found in it. What is guessed of its moments is found on the path of its limb,
 * where that tells.
 * @param technique by which it is judged
 * @param ofModel by how much each point is spread from frame to frame, in lengths of the trunk
 */
export function measurable(
  film: FollowedFilm,
  told: StrikeMoments,
  technique: Thrown,
  ofModel: readonly Ratio[] = jitterOf,
): MeasurableStrike | undefined {
  const points = strikePoints(film, told);
  if (points.places.every((place) => Number.isNaN(place))) return undefined;
  const strike = withFoundMoments(film, told, technique, points);
  const { holder, again } = film;
  return {
    ...seenAs(film, strike, technique, ofModel, { pass: 'first', steadiness: 'found' }, points),
    held: holder && measurable(holder, strike, holdingPads, ofModel),
    // Whoever holds was followed by the first pass only.
    again:
      again && isLookedAtAgain(film, strike)
        ? seenAs(again, strike, technique, ofModel, { pass: 'second', steadiness: 'found' })
        : undefined,
  };
}

/** Whoever holds, as they were found, and shaken for as many times. @param ofModel by how much points are spread, in lengths of the trunk */
function besideIt(
  holder: FollowedFilm,
  strike: StrikeMoments,
  ofModel: readonly Ratio[],
): (time: number | undefined) => () => SeenPoints {
  let points: StrikePoints | undefined;
  const spreads = Float64Array.from(ofModel, (spread) => spread * holder.size.torso);
  return (time) => () => {
    points ??= strikePoints(holder, strike);
    if (time === undefined) return { points };
    return { points, shake: { spreads, row: normalRow(strike.contactFrame + 1 + shakes + time) } };
  };
}

/** A strike of which the moments are known, as a film shows it. */
function seenAs(
  film: FollowedFilm,
  strike: StrikeMoments,
  technique: Thrown,
  ofModel: readonly Ratio[],
  by: Pick<MeasurableStrike, 'pass' | 'steadiness'>,
  points = strikePoints(film, strike),
): MeasurableStrike {
  const { timeline } = film;
  const doubts = doubtOfFound(film, technique);
  const random = steadyRandom(strike.contactFrame + 1);
  const normals = normalRow(strike.contactFrame);
  const { held } = points;
  /** By how much each point is spread, in pixels: in each frame where some are held by pins. @param by how far one is held, and of what the model leaves */
  const spreadsBy = (by: (held: Ratio, ofModel: Ratio) => Ratio): Float64Array => {
    const spreads = new Float64Array(held?.length ?? pointCount);
    for (let place = 0; place < spreads.length; place++)
      spreads[place] = by(held?.[place] ?? 0, ofModel[place % pointCount]!) * film.size.torso;
    return spreads;
  };
  const shakeBy =
    (spreads: Float64Array) =>
    (time: number): Shake => ({ spreads, row: normalRow(strike.contactFrame + 1 + time) });
  const { size, guard } = film;
  const who = {
    sides: sidesOf(film.view, film.stance, technique),
    body: { size, guard, steps: isStep(technique), sinks: sinksFirst(technique) },
  };
  const shifted = (shift: (moment: Moment) => Ms, shake?: Shake, time?: number): Sight => {
    const at = (moment: Moment): Ms => timeOf(timeline, strike[`${moment}Frame`]) + shift(moment);
    return sightOf(who, { points, shake }, at('launch'), at('contact'), at('home'), beside?.(time));
  };
  const shiftOf =
    (time: number) =>
    (moment: Moment): Ms =>
      momentShift(
        doubtOfMoment(strike, moment, doubts),
        gapAt(timeline, strike[`${moment}Frame`]),
        random(),
        normalAt(normals, time * moments.length + moments.indexOf(moment)),
      );
  const still = (): Ms => 0;
  const times = Array.from({ length: shakes }, (_, time) => time);
  const shakenBy = (spreads: Float64Array): Sight[] => {
    const shake = shakeBy(spreads);
    return times.map((time) => shifted(still, shake(time), time));
  };
  /** Whoever holds is shaken by numbers of their own: what both are off by is not the same. */
  const beside = film.holder && besideIt(film.holder, strike, ofModel);
  const shakenAll = (): Sight[] => {
    const shaking = shakeBy(spreadsBy((held, model) => (held === 0 ? model : Math.hypot((1 - held) * model, held * pinSpread))));
    return times.map((time) => shifted(shiftOf(time), shaking(time), time));
  };
  // Most strikes are measured by steadier tracks than that which was found: what nobody reads is not shaken.
  let shaken: readonly Sight[] | undefined;
  const steadied = new Map<Steadiness, MeasurableStrike>();
  const one: MeasurableStrike = {
    strike,
    ...by,
    doubts,
    widenings: film.widenings,
    sight: shifted(still),
    shaken: () => (shaken ??= shakenAll()),
    pinned: held && {
      every: shakenBy(spreadsBy((_, model) => model)),
      loose: shakenBy(spreadsBy((held, model) => (1 - held) * model)),
    },
    steady(steadiness) {
      if (steadiness === by.steadiness) return one;
      const known =
        steadied.get(steadiness) ??
        seenAs(steadyFilm(film, steadiness, strike), strike, technique, ofModel, { ...by, steadiness });
      steadied.set(steadiness, known);
      return known;
    },
  };
  return one;
}
