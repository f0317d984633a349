/** All orders of a few things; of more than six only the one that is given: nobody waits for five thousand. */
export function permutations<One>(list: readonly One[]): One[][] {
  if (list.length > 6) return [[...list]];
  if (list.length <= 1) return [[...list]];
  return list.flatMap((one, place) => permutations(list.toSpliced(place, 1)).map((rest) => [one, ...rest]));
}
