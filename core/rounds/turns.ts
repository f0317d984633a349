import { lab } from 'd3-color';
import { median, minIndex } from 'd3-array';
import type { Ms, TimeSpan } from '../units.ts';

/** What somebody wears at some time: the colour of the trunk, and that of the thighs, 0 to 255 each. */
export interface Worn {
  time: Ms;
  trunk: Colour;
  thighs: Colour;
}
export type Colour = readonly [red: number, green: number, blue: number];

/** Fewer pictures of a round do not tell who is in it. */
const fewestPictures = 2;
/** As far apart as this, in CIELAB, it is other clothes; light and folds move one’s own by less. */
const otherClothes = 16;

type Look = readonly number[];
const asLab = ([red, green, blue]: Colour): Look => {
  const { l, a, b } = lab(`rgb(${red},${green},${blue})`);
  return [l, a, b];
};
/** What is worn in the middle of some pictures; undefined of too few. */
export function lookOf(worn: readonly Worn[]): Look | undefined {
  if (worn.length < fewestPictures) return undefined;
  const all = worn.map(({ trunk, thighs }) => [...asLab(trunk), ...asLab(thighs)]);
  return all[0]!.map((_, place) => median(all, (one) => one[place])!);
}
/** How far two looks are apart: the mean of trunk and thighs (CIE 1976). */
export const apart = (one: Look, other: Look): number =>
  (Math.hypot(one[0]! - other[0]!, one[1]! - other[1]!, one[2]! - other[2]!) +
    Math.hypot(one[3]! - other[3]!, one[4]! - other[4]!, one[5]! - other[5]!)) /
  2;

/**
 * Who works in which rounds, by what they wear: rounds in a row of the same person are one turn. A round that does not show who it is
 * belongs to whoever worked before it.
 * @param rounds in order of time
 * @returns people counted from 0 in the order in which they are first seen
 */
export function turnsOf(
  rounds: readonly (TimeSpan & { id: string })[],
  worn: readonly Worn[],
): { person: number; roundIds: string[] }[] {
  const people: Look[] = [];
  const turns: { person: number; roundIds: string[] }[] = [];
  for (const { id, from, to } of rounds) {
    const look = lookOf(worn.filter(({ time }) => time >= from && time <= to));
    const last = turns.at(-1);
    let person = last?.person ?? 0;
    if (look) {
      const nearest = minIndex(people, (one) => apart(one, look));
      person = nearest >= 0 && apart(people[nearest]!, look) < otherClothes ? nearest : people.push(look) - 1;
    }
    if (last?.person === person) last.roundIds.push(id);
    else turns.push({ person, roundIds: [id] });
  }
  return turns;
}
