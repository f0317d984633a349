import { mean, median, rollup } from 'd3-array';

/** How late something is found of several people, each held against what all others are late. */
export interface Lateness {
  people: number;
  /** The mean of everybody's median; nobody weighs more than another. */
  late: number;
  /** What is left of each when the others' lateness is taken off. */
  errors: number[];
}
export function latenessOf(list: readonly { person: string; late: number }[]): Lateness {
  const middles = rollup(
    list,
    (theirs) => median(theirs, ({ late }) => late)!,
    ({ person }) => person,
  );
  const ofOthers = new Map(
    [...middles.keys()].map((person) => [
      person,
      mean([...middles].flatMap(([one, late]) => (one === person ? [] : [late]))) ?? 0,
    ]),
  );
  return {
    people: middles.size,
    late: mean(middles.values())!,
    errors: list.map(({ person, late }) => late - ofOthers.get(person)!),
  };
}

/** How many errors lie within so much. */
export const shareWithin = (errors: readonly number[], most: number): number =>
  mean(errors, (error) => Number(Math.abs(error) <= most))!;
