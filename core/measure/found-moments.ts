import { pointsOf, type PointName } from '../body/index.ts';
import { frameNearest, timeOf } from '../film/index.ts';
import { guessedOf, type Moment, type StrikeMoments } from '../strikes/index.ts';
import { handOf } from '../technique/index.ts';
import type { FrameIndex, Ms, Ratio } from '../units.ts';
import { isStep, nearSide, sinksFirst, strikePoints, type StrikePoints, type Thrown } from './sight.ts';
import type { FollowedFilm } from './followed-film.ts';
import { smooth } from './geometry.ts';
import { fitOf, isWay, pathOf, type Path } from './path-fit.ts';
import { feetSetOut } from './steps-on-path.ts';

/** A moment that the path of a limb tells. */
export type FoundName = 'launch' | 'home';
/** What throws, and how it lies to the camera: along, it comes towards it or goes away. */
export type Thrower = 'near hand' | 'far hand' | 'hand along' | 'foot' | 'step';

/** By how much a moment is found too late in trials, and what of it is doubted then: more than they say, as gyms are harder. */
interface Found {
  late: Ms;
  doubt: Ms;
}
/**
 * What trials say of moments on the path of a limb. What is not here is not found well enough: from the front nobody sees when a hand
 * is home. Printed and checked by `bin/bench measures`.
 */
export const foundIn: Readonly<Record<Thrower, Readonly<Partial<Record<FoundName, Found>>>>> = {
  'near hand': { launch: { late: 27, doubt: 24 }, home: { late: -11, doubt: 52 } },
  'far hand': { launch: { late: 57, doubt: 60 }, home: { late: -17, doubt: 48 } },
  'hand along': { launch: { late: 35, doubt: 70 } },
  step: { launch: { late: 16, doubt: 50 } },
  foot: { launch: { late: 31, doubt: 45 }, home: { late: -2, doubt: 25 } },
};
/** What is doubted of a contact that is seen and not heard: see `bin/bench measures`. */
export const seenContactDoubt: Ms = 27;
/** What is doubted of each moment where it was found on a path, and of contact where it was only seen. */
export type MomentDoubts = Readonly<Record<Moment, Ms>>;
const widest = (name: FoundName): Ms => Math.max(...Object.values(foundIn).map((found) => found[name]?.doubt ?? 0));
/** What is doubted of a found moment where nobody knows how it was seen. */
export const widestDoubt: MomentDoubts = { launch: widest('launch'), contact: seenContactDoubt, home: widest('home') };
/** What is doubted of a moment besides the frame that it lies in; undefined of what a coach has set, and of what was heard. */
export function doubtOfMoment(strike: StrikeMoments, moment: Moment, doubts: MomentDoubts): Ms | undefined {
  const origin = strike[`${moment}Origin`];
  return origin === 'seen' || (origin === 'found' && moment !== 'contact') ? doubts[moment] : undefined;
}

/** How long before and after contact is looked, and how near to it neither can be. */
const [outAtMost, backAtMost, outAtLeast, backAtLeast]: readonly [Ms, Ms, Ms, Ms] = [480, 750, 50, 80];
const step: Ms = 5;
/** A limb that goes less far, in trunks, is followed no better than it jitters. */
const leastWay: Ratio = 0.3;

/**
 * When a limb sets out for the contact, or is home from it: of a way that begins and ends at rest, and before or after which it
 * rests, the instant that fits its path best. Undefined where it goes nowhere, or otherwise.
 */
function findMoment(path: Path, contact: Ms, name: FoundName): Ms | undefined {
  if (path.times.length < 6) return undefined;
  const share =
    name === 'launch'
      ? (time: Ms, moment: Ms) => smooth((time - moment) / (contact - moment))
      : (time: Ms, moment: Ms) => 1 - smooth((time - contact) / (moment - contact));
  const [from, to] =
    name === 'launch' ? [contact - outAtMost + 50, contact - outAtLeast] : [contact + backAtLeast, contact + backAtMost - 120];
  let best = { moment: 0, off: Infinity, way: 0 };
  for (let moment = from; moment <= to; moment += step) {
    const fit = fitOf(
      path,
      path.times.map((time) => share(time, moment)),
    );
    if (fit.off < best.off) best = { moment, ...fit };
  }
  // Where the earliest instant fits best the hand has gone before: it fell, or comes from another strike.
  return isWay(best, leastWay) && (name === 'home' || best.moment > from) ? best.moment : undefined;
}

/** What throws a strike, as a camera sees it; undefined where nothing can be followed. */
function throwerOf(
  { view, stance }: Pick<FollowedFilm, 'view' | 'stance'>,
  technique: Thrown,
): { thrower: Exclude<Thrower, 'step'>; point: PointName } | undefined {
  const { side, kind } = technique;
  const limb = handOf(side, stance);
  if (!limb || view === 'quarter') return undefined;
  const near = nearSide(view, handOf('lead', stance)!);
  if (kind === 'kick') return near && { thrower: 'foot', point: pointsOf[limb].Ankle };
  if (kind !== 'hand' || sinksFirst(technique)) return undefined;
  return { thrower: near ? (limb === near ? 'near hand' : 'far hand') : 'hand along', point: pointsOf[limb].Wrist };
}

/** What is doubted of a moment that was found in this film. */
export function doubtOfFound(film: Pick<FollowedFilm, 'view' | 'stance'>, technique: Thrown): MomentDoubts {
  const found = foundIn[isStep(technique) ? 'step' : (throwerOf(film, technique)?.thrower ?? 'foot')];
  return {
    ...widestDoubt,
    ...(found.launch && { launch: found.launch.doubt }),
    ...(found.home && { home: found.home.doubt }),
  };
}

/** What the path of a limb says of a strike, before any trial corrects it, and what went along it; undefined where nothing is followed. */
export function momentsOnPath(
  film: FollowedFilm,
  strike: StrikeMoments,
  technique: Thrown,
  points = strikePoints(film, strike),
): { thrower: Thrower; at: (name: FoundName) => Ms | undefined } | undefined {
  const contact = timeOf(film.timeline, strike.contactFrame);
  if (isStep(technique))
    return { thrower: 'step', at: (name) => (name === 'launch' ? feetSetOut(points, film.size, contact) : undefined) };
  const thrown = throwerOf(film, technique);
  if (!thrown) return undefined;
  return {
    thrower: thrown.thrower,
    at(name) {
      const [from, to] = name === 'launch' ? [contact - outAtMost, contact] : [contact, contact + backAtMost];
      return findMoment(pathOf(points, thrown.point, film.size, [from, to], 'hips'), contact, name);
    },
  };
}

/** A strike with what is guessed of its moments found on the path of its limb, where that tells; all else stays as it is. */
export function withFoundMoments<Strike extends StrikeMoments>(
  film: FollowedFilm,
  strike: Strike,
  technique: Thrown,
  points?: StrikePoints,
): Strike {
  if (strike.contactOrigin === 'guessed' || guessedOf(strike).length === 0) return strike;
  const path = momentsOnPath(film, strike, technique, points);
  if (!path) return strike;
  const frameOf = (name: FoundName): FrameIndex | undefined => {
    const found = foundIn[path.thrower][name];
    const time = found && strike[`${name}Origin`] === 'guessed' ? path.at(name) : undefined;
    return time === undefined ? undefined : frameNearest(film.timeline, time - found!.late);
  };
  const [launch, home] = [frameOf('launch'), frameOf('home')];
  return {
    ...strike,
    ...(launch !== undefined && { launchFrame: Math.min(launch, strike.contactFrame), launchOrigin: 'found' }),
    ...(home !== undefined && { homeFrame: Math.max(home, strike.contactFrame), homeOrigin: 'found' }),
  };
}
