import { pointsOf, type BodySide } from '../body/index.ts';
import type { Degrees, Ms, Px, Ratio } from '../units.ts';
import { between, degrees, middle, rangeOf, whenGone } from './geometry.ts';
import { rearOf, type Sight, type Spot } from './sight.ts';

// Turns about the upright, seen from across: of a line whose true length is known, the picture shows the part that points ahead. Which
// way the rest of it points the picture does not tell, but feet turn outwards and shoulders never turn by more than a quarter.

const share = (part: Px, whole: Px): Ratio => Math.max(-1, Math.min(1, part / whole));

/** Where the toes of a foot point: 0° at the target, 90° aside, 180° back. */
function footHeading(sight: Sight, side: BodySide, time: Ms): Degrees {
  const [heel, toe] = [sight.at(pointsOf[side].Heel, time), sight.at(pointsOf[side].Toe, time)];
  return Math.acos(share(toe[0] - heel[0], sight.size.foot)) * degrees;
}
/** Of the rear foot, before anything begins. */
export const rearFootAngle = (sight: Sight): Degrees => footHeading(sight, rearOf(sight), sight.ready);
/** How far a foot turns for a strike: until it lands, from before it begins. @param from when it has not turned yet */
const footTurn = (sight: Sight, side: BodySide, from: Ms): Degrees =>
  Math.abs(footHeading(sight, side, sight.contact) - footHeading(sight, side, from));
export const rearFootTurn = (sight: Sight): Degrees => footTurn(sight, rearOf(sight), sight.ready);
export const leadFootTurn = (sight: Sight): Degrees => footTurn(sight, sight.lead, sight.ready);
/** Of the foot that a kicker stands on, from when the other one leaves the floor. */
export const standingFootTurn = (sight: Sight): Degrees => footTurn(sight, sight.idle, sight.launch);

/** A strike is wound up before it is launched. */
const windsUp: Ms = 160;
/** From where the shoulders are turned away furthest to where they are turned in furthest, until contact. */
export function shoulderTurn(sight: Sight): Degrees {
  const { striking, idle, size, launch, contact } = sight;
  const ahead = (time: Ms): Px => sight.at(pointsOf[striking].Shoulder, time)[0] - sight.at(pointsOf[idle].Shoulder, time)[0];
  const [least, most] = rangeOf(launch - windsUp, contact, ahead);
  return (Math.asin(share(most, size.shoulderWidth)) - Math.asin(share(least, size.shoulderWidth))) * degrees;
}

/** A lag is looked for from a little before the launch, until what comes late has come. */
const [beforeLaunch, settled]: readonly [Ms, Ms] = [40, 200];
/** A moment half way neither jumps as a peak of speed does, nor minds a step that is taken meanwhile. */
const half: Ratio = 0.5;
/** From half of the rear elbow's way to half of the rear foot's turn: a knee points where its foot points. */
export function kneeElbowLag(sight: Sight): Ms {
  const rear = rearOf(sight);
  const from = sight.launch - beforeLaunch;
  const elbow = (time: Ms): Spot => {
    const [place, hip] = [sight.at(pointsOf[rear].Elbow, time), middle(sight, 'Hip', time)];
    return [place[0] - hip[0], place[1] - hip[1]];
  };
  const stood = elbow(from);
  const pointed = footHeading(sight, rear, from);
  return (
    whenGone(half, from, sight.contact + settled, (time) => Math.abs(footHeading(sight, rear, time) - pointed)) -
    whenGone(half, from, sight.contact, (time) => between(elbow(time), stood))
  );
}
/** From half of the fist's way, seen from the hips, to half of the turn that brings the striking hip ahead. */
export function hipFistLag(sight: Sight): Ms {
  const { striking, idle } = sight;
  const from = sight.launch - windsUp;
  const hip = (time: Ms): Px => sight.at(pointsOf[striking].Hip, time)[0] - sight.at(pointsOf[idle].Hip, time)[0];
  const fist = (time: Ms): Px => sight.at(pointsOf[striking].Wrist, time)[0] - middle(sight, 'Hip', time)[0];
  const [hipStood, fistStood] = [hip(from), fist(from)];
  return (
    whenGone(half, from, sight.contact + settled, (time) => hip(time) - hipStood) -
    whenGone(half, from, sight.contact, (time) => fist(time) - fistStood)
  );
}
