import type { BodySide } from '../body/index.ts';
import type { Degrees, Ms, Px, Ratio } from '../units.ts';
import { between, degrees, instants, middle } from './geometry.ts';
import { rearOf, type Sight, type Spot } from './sight.ts';

// Turns about the upright, seen from across: of a line whose true length is known, the picture shows the part that points ahead. Which
// way the rest of it points the picture does not tell, but feet turn outwards and shoulders never turn by more than a quarter.

const share = (part: Px, whole: Px): Ratio => Math.max(-1, Math.min(1, part / whole));

/** Where the toes of a foot point: 0° at the target, 90° aside, 180° back. */
function footHeading(sight: Sight, side: BodySide, time: Ms): Degrees {
  const [heel, toe] = [sight.at(`${side}Heel`, time), sight.at(`${side}Toe`, time)];
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
  const turns = instants(launch - windsUp, contact).map((time) => {
    const ahead = sight.at(`${striking}Shoulder`, time)[0] - sight.at(`${idle}Shoulder`, time)[0];
    return Math.asin(share(ahead, size.shoulderWidth)) * degrees;
  });
  return Math.max(...turns) - Math.min(...turns);
}

/** A lag is looked for from a little before the launch. */
const beforeLaunch: Ms = 40;
/** When something has gone half of the furthest that it goes. */
function halfWay(from: Ms, to: Ms, gone: (time: Ms) => number): Ms {
  const times = instants(from, to);
  const all = times.map(gone);
  const half = Math.max(...all) / 2;
  return times[all.findIndex((value) => value >= half)] ?? to;
}
/** From half of the rear elbow's way to half of the rear foot's turn: a knee points where its foot points. */
export function kneeElbowLag(sight: Sight): Ms {
  const rear = rearOf(sight);
  const from = sight.launch - beforeLaunch;
  const elbow = (time: Ms): Spot => {
    const [place, hip] = [sight.at(`${rear}Elbow`, time), middle(sight, 'Hip', time)];
    return [place[0] - hip[0], place[1] - hip[1]];
  };
  const stood = elbow(from);
  const pointed = footHeading(sight, rear, from);
  return (
    halfWay(from, sight.contact + 200, (time) => Math.abs(footHeading(sight, rear, time) - pointed)) -
    halfWay(from, sight.contact, (time) => between(elbow(time), stood))
  );
}
