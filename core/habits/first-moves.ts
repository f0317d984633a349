import { group, max, mean, median, quantile, range, sort } from 'd3-array';
import { motionStep, placesOfMotion, type Motion } from '../strikes/index.ts';
import type { TechniqueId } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { shareOf, type Habit, type Share } from './habits.ts';
import { movingParts, type MovingPart } from './moving-part.ts';

/** A strike of a film, with when it set out and was home. */
export interface TimedStrike {
  id: string;
  technique: TechniqueId;
  side: 'lead' | 'rear' | 'both';
  launch: Ms;
  home: Ms;
  /** By how much the launch may be off; undefined where it is only guessed, and nothing can be said of what is before it. */
  doubt: Ms | undefined;
}

/** How long before the launch is looked, how much of that is taken for rest, and how near to the launch it may be the strike itself. */
const [lookedBefore, rest, launching]: readonly [Ms, Ms, Ms] = [400, 80, 40];
const tick: Ms = 20;
const ticks = (lookedBefore - launching) / tick + 1;
const restTicks = rest / tick + 1;
/** It moves when it goes farther than it goes so rarely at other times of the film, and than this in trunks; it has begun where it was at half of that. */
const rarely: Ratio = 0.05;
const leastMove: Ratio = 0.05;
const begun: Ratio = 1 / 2;
/** How closely other times are looked at, and how many of them tell how far somebody moves anyway. */
const quietEvery: Ms = 50;
const fewestQuiet = 40;

/** How far a part is from where it rested at each tick up to the end of what is looked at, in trunks. */
type Away = readonly Ratio[];

/** Places of `motionOf` at a step: nose first, then wrist, elbow and shoulder of the lead side and the rear side in turn. */
const [nose, wrist, shoulder] = [0, { lead: 1, rear: 2 }, { lead: 5, rear: 6 }];

/** How far each part goes in `lookedBefore` before a time; undefined where the body is not seen all the time. */
function awayBefore({ places, hips, steps }: Motion, time: Ms, side: 'lead' | 'rear'): Record<MovingPart, Away> | undefined {
  if (time < lookedBefore || time / motionStep > steps - 1) return undefined;
  const at = range(ticks).map((place) => Math.round((time - lookedBefore + place * tick) / motionStep));
  const away = (of: (step: number, axis: 0 | 1) => number): Away => {
    const seen = at.map((step) => [of(step, 0), of(step, 1)] as const);
    const rested = seen.slice(0, restTicks);
    const [x, y] = [mean(rested, ([ahead]) => ahead)!, mean(rested, ([, up]) => up)!];
    return seen.map(([ahead, up]) => Math.hypot(ahead - x, up - y));
  };
  const of = (step: number, place: number, axis: 0 | 1): number => places[(step * placesOfMotion + place) * 2 + axis]!;
  const each = {
    weight: away((step, axis) => hips[step * 2 + axis]!),
    head: away((step, axis) => of(step, nose, axis)),
    hand: away((step, axis) => of(step, wrist[side], axis) - of(step, shoulder[side], axis)),
  };
  return each.weight.some(Number.isNaN) ? undefined : each;
}

/** How far each part seldom goes within `lookedBefore` while nothing is thrown; undefined where there is too little of that. */
function farAnyway(
  motion: Motion,
  strikes: readonly TimedStrike[],
): Record<`${MovingPart} ${'lead' | 'rear'}`, Ratio> | undefined {
  const isQuiet = (time: Ms): boolean =>
    strikes.every(({ launch, home }) => time <= launch - lookedBefore || time - lookedBefore >= home);
  const times = range(lookedBefore, motion.steps * motionStep, quietEvery).filter(isQuiet);
  const farthest = (['lead', 'rear'] as const).flatMap((side) => {
    const seen = times.flatMap((time) => awayBefore(motion, time, side) ?? []);
    if (seen.length < fewestQuiet) return [];
    return movingParts.map((part) => [
      `${part} ${side}`,
      Math.max(
        leastMove,
        quantile(seen, 1 - rarely, (away) => max(away[part]))!,
      ),
    ]);
  });
  return farthest.length === 0 ? undefined : (Object.fromEntries(farthest) as ReturnType<typeof farAnyway>);
}

/** What moves before a strike, and how long before it sets out. */
export interface MovedBefore {
  id: string;
  technique: TechniqueId;
  leads: Partial<Record<MovingPart, Ms>>;
}

/**
 * What moves before each strike of a film with which something begins, more than it does when nothing is thrown. Nothing where too
 * little of the film is quiet to know that.
 * @param strikes in order of time
 */
export function movesBefore(motion: Motion, strikes: readonly TimedStrike[]): MovedBefore[] {
  const far = farAnyway(motion, strikes);
  if (!far) return [];
  return strikes.flatMap(({ id, technique, side, launch, doubt }, place) => {
    const before = strikes[place - 1];
    if (side === 'both' || doubt === undefined || (before && launch - lookedBefore < before.home)) return [];
    const away = awayBefore(motion, launch, side);
    if (!away) return [];
    const leads = movingParts.flatMap((part) => {
      const enough = far[`${part} ${side}`];
      const told = away[part].slice(0, Math.max(0, ticks - Math.ceil(doubt / tick)));
      const first = told.findIndex((distance) => distance >= enough);
      if (first < 0) return [];
      const began = told.findLastIndex((distance, at) => at < first && distance < enough * begun);
      return [[part, lookedBefore - (began + 1) * tick]];
    });
    return [{ id, technique, leads: Object.fromEntries(leads) as MovedBefore['leads'] }];
  });
}

/** In how many strikes of a technique a part moves before it sets out, and how long before. */
export interface FirstMove {
  technique: TechniqueId;
  part: MovingPart;
  share: Share<MovingPart>;
  /** In the middle of those. */
  lead: Ms;
}

/** What moves before which technique, the commonest first. @param seen of all films of a session */
export function firstMoves(seen: readonly MovedBefore[]): FirstMove[] {
  const leadOf = new Map(seen.map(({ id, leads }) => [id, leads]));
  const moved = moveHabits(seen).filter(({ share }) => share.times > 0);
  return sort(
    moved.map(({ technique, share }) => ({
      ...{ technique, part: share.what, share },
      lead: median(share.proof, (id) => leadOf.get(id)![share.what])!,
    })),
    ({ share }) => -share.low,
  );
}

/** How often each part moves before each technique, never among them. @param seen of all films of a session */
export const moveHabits = (seen: readonly MovedBefore[]): Extract<Habit, { kind: 'move' }>[] =>
  [...group(seen, ({ technique }) => technique)].flatMap(([technique, strikes]) =>
    movingParts.map((part) => {
      const proof = strikes.flatMap(({ id, leads }) => (leads[part] === undefined ? [] : [id]));
      return { kind: 'move' as const, technique, share: shareOf(part, proof, strikes.length) };
    }),
  );
