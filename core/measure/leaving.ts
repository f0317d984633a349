import { bodySides, pointsOf } from '../body/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import { between, chin, middle } from './geometry.ts';
import type { Sight, Spot } from './sight.ts';
import { headAside } from './trunk.ts';

/** How closely a base is looked for, and how many of these in a row it has to hold to be one. */
const tick: Ms = 20;
const held = 5;
/** Before it is home there is a limb out; where it is home is known to so much. */
const beforeHome: Ms = 30;
/** A hand is home when it is no lower than usual by more than this, in heads. */
const handMayHang: Ratio = 0.2;
/** The feet stand as they stood when their gap is about the same, and both are about as high as then: shares of the gap, and of the trunk. */
const [closest, widest, mayBeLifted]: readonly [Ratio, Ratio, Ratio] = [0.75, 1.35, 0.1];

/**
 * From contact until stance and guard are clean again: both hands as high as they usually are, the feet as far apart as they stood and
 * both down. Undefined where it is not seen, where the next strike comes before, and of a step: its base is a new one.
 */
export function timeToBase(sight: Sight): Ms | undefined {
  const back = backInBase(sight);
  return back === undefined ? undefined : back - sight.contact;
}
/** When they are. */
export function backInBase(sight: Sight): Ms | undefined {
  const { ready, guard, size } = sight;
  if (sight.steps) return undefined;
  const ankles = (time: Ms): Spot[] => bodySides.map((side) => sight.at(pointsOf[side].Ankle, time));
  const gapOf = ([one, other]: readonly Spot[]): Px => Math.abs(one![0] - other![0]);
  const stood = ankles(ready);
  const stance = gapOf(stood);
  const feetStand = (time: Ms): boolean => {
    const now = ankles(time);
    const gap = gapOf(now);
    return (
      gap >= closest * stance &&
      gap <= widest * stance &&
      now.every(([, up], side) => up - stood[side]![1] <= mayBeLifted * size.torso)
    );
  };
  const handsAreHome = (time: Ms): boolean => {
    const [, up] = chin(sight, time);
    return bodySides.every((side) => up - sight.at(pointsOf[side].Wrist, time)[1] <= guard[side] + handMayHang * size.head);
  };
  // Looked for from its end: where it does not hold then, none has begun before, and most instants need not be looked at.
  let since = sight.home - beforeHome;
  while (since + held * tick <= sight.until) {
    let ticks = held;
    while (ticks >= 0 && feetStand(since + ticks * tick) && handsAreHome(since + ticks * tick)) ticks--;
    if (ticks < 0) return since;
    since += (ticks + 1) * tick;
  }
  return undefined;
}

/** The head has left the line when it is so far aside of where it was before anything began, in widths of the head. */
const offLine: Ratio = 0.5;
/** Until a strike is over it takes this after it is home: heads move with it. */
const over: Ms = 160;
/** When the head has left the line on which it struck; undefined where it stays there as long as a strike is looked at. */
export function hasLeft(sight: Sight): Ms | undefined {
  const { home, until } = sight;
  for (let time = home + over; time <= until; time += tick) if (headAside(sight, time) >= offLine) return time;
  return undefined;
}
/** Whoever has not left by then stays, unless the feet have gone so far, in trunks: towards the camera or away, the head stays on its line. */
const [longEnough, feetMayGo]: readonly [Ms, Ratio] = [1000, 0.15];
function stays(sight: Sight): boolean {
  const { contact, until, size } = sight;
  const feet = (time: Ms): Spot => middle(sight, 'Ankle', time);
  return until - contact > longEnough && between(feet(contact), feet(contact + longEnough)) <= feetMayGo * size.torso;
}
/** From contact until then. Whoever stays is measured as long as a strike is looked at. */
export function exitTime(sight: Sight): Ms | undefined {
  const left = hasLeft(sight) ?? (stays(sight) ? sight.until : undefined);
  return left === undefined ? undefined : left - sight.contact;
}
