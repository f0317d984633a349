import type { Degrees, Ms, Px, Ratio } from '../units.ts';
import { type BodySide, bodySides, pointsOf } from '../body/index.ts';
import { between, jointAngle, middle, mostOf, riseOf, whenMost } from './geometry.ts';
import { rearOf, type Sight } from './sight.ts';

/** How straight a leg is at an instant: 180° where it is. */
export const kneeAt = (sight: Sight, side: BodySide, time: number): Degrees =>
  jointAngle(sight.at(pointsOf[side].Hip, time), sight.at(pointsOf[side].Knee, time), sight.at(pointsOf[side].Ankle, time));

/** Sideways between the ankles, before anything begins, in widths of the shoulders. */
export const stanceWidth = (sight: Sight): Ratio =>
  Math.abs(sight.at('leftAnkle', sight.ready)[0] - sight.at('rightAnkle', sight.ready)[0]) / sight.size.shoulderWidth;

/** The leg that is bent less, before anything begins. */
export const kneeAngle = (sight: Sight): Degrees => Math.max(...bodySides.map((side) => kneeAt(sight, side, sight.ready)));
/** How far the leg on the striking side is bent when the strike is launched. */
export const loadedKnee = (sight: Sight): Degrees => kneeAt(sight, sight.striking, sight.launch);

/** Heel over its own toe, in feet. */
const heelHeight = (sight: Sight, side: BodySide, time: number): Ratio =>
  (sight.at(pointsOf[side].Heel, time)[1] - sight.at(pointsOf[side].Toe, time)[1]) / sight.size.foot;
/** Of the rear foot, before anything begins. */
export const rearHeel = (sight: Sight): Ratio => heelHeight(sight, rearOf(sight), sight.ready);
/** Of the foot one stands on, at contact. */
export const standingHeel = (sight: Sight): Ratio => heelHeight(sight, sight.idle, sight.contact);

/** How far the ball of the rear foot slides, launch to contact, in feet; its heel turns, which is no slide. */
export const rearSlide = (sight: Sight): Ratio => {
  const toe = pointsOf[rearOf(sight)].Toe;
  return Math.abs(sight.at(toe, sight.contact)[0] - sight.at(toe, sight.launch)[0]) / sight.size.foot;
};

/** The shin of the kicking leg from level, at contact. */
export const legTilt = (sight: Sight): Degrees =>
  riseOf(
    sight.at(pointsOf[sight.striking].Knee, sight.contact),
    sight.at(pointsOf[sight.striking].Ankle, sight.contact),
    sight.size.shin,
  );

const floor = (sight: Sight): number =>
  Math.min(
    ...bodySides.map((side) =>
      Math.min(sight.at(pointsOf[side].Heel, sight.ready)[1], sight.at(pointsOf[side].Toe, sight.ready)[1]),
    ),
  );
/** A leg bent as far as this is folded, and one bent no further than that is straight. Degrees. */
const [foldedKnee, straightKnee] = [95, 110];
/** How high the knee is over the floor, as far as the leg is folded: one that is half folded counts half. */
function liftedFolded(sight: Sight): (time: Ms) => Px {
  const { striking } = sight;
  const ground = floor(sight);
  const folded = (time: Ms): Ratio =>
    Math.max(0, Math.min(1, (straightKnee - kneeAt(sight, striking, time)) / (straightKnee - foldedKnee)));
  return (time) => folded(time) * (sight.at(pointsOf[striking].Knee, time)[1] - ground);
}
/** How high the knee comes while the leg is folded, against the height of the hips. */
export const chamber = (sight: Sight): Ratio =>
  mostOf(sight.launch, sight.contact, liftedFolded(sight)) / (middle(sight, 'Hip', sight.ready)[1] - floor(sight));
/** When the leg is chambered: folded, with the knee at its highest. */
export const chamberedAt = (sight: Sight): Ms => whenMost(sight.launch, sight.contact, liftedFolded(sight));
/** How high the lead knee is at contact, against the height of the hips. */
export function kneeLift(sight: Sight): Ratio {
  const ground = floor(sight);
  return (sight.at(pointsOf[sight.lead].Knee, sight.contact)[1] - ground) / (middle(sight, 'Hip', sight.ready)[1] - ground);
}

/** How steeply the foot that kicks comes up on the last tenth of its way in: 0° level, 90° straight up. */
export function shinPath(sight: Sight): Degrees {
  const foot = pointsOf[sight.striking].Ankle;
  const from = sight.at(foot, sight.contact - 0.1 * (sight.contact - sight.launch));
  const to = sight.at(foot, sight.contact);
  return Math.abs(riseOf(from, to, between(from, to)));
}

/** A foot that comes in shows where it goes in this time before it lands, and goes on past that in this part of its way home. */
const [comesIn, goesOn]: readonly [Ms, Ratio] = [60, 0.4];
/** How far the foot that kicks goes on past where it landed, the way it came, in widths of the shoulders. */
export function kickThrough(sight: Sight): Ratio {
  const { striking, contact, home, size } = sight;
  const place = (time: Ms): Px => sight.at(pointsOf[striking].Ankle, time)[0];
  const landed = place(contact);
  const way = Math.sign(landed - place(contact - comesIn));
  return mostOf(contact, contact + goesOn * (home - contact), (time) => way * (place(time) - landed)) / size.shoulderWidth;
}
