import { isTrusted, tellsMore } from './held-back.ts';
import { figuresOf, trialsOf, type Figure } from './measures.ts';
import { number, percent, printTable } from './table.ts';
import { grouped, rowOf, type Told } from './told.ts';

const idOf = (one: Told): string => `${rowOf(one)} ${one.film} ${one.strike}`;
/** What the first pass tells of the strikes that the second one has looked at: held against others it would be films that are compared. */
function alikeIn(first: readonly Told[], second: readonly Told[]): Told[] {
  const looked = new Set(second.map(idOf));
  return first.filter((one) => looked.has(idOf(one)));
}

/**
 * What is shipped of a second pass: trials of what it tells better than the first one of the same strikes, and better than that tells
 * by all its people. It has looked at fewer films, and at fewer faults: of what the first one makes up it is not taken to be right.
 */
export function secondTrialsOf(first: readonly Told[], second: readonly Told[]): ReturnType<typeof trialsOf> {
  const [all, alike] = [grouped(first), grouped(alikeIn(first, second))];
  const better = [...grouped(second)].flatMap(([row, group]) => {
    const told = all.get(row) ?? [];
    return isTrusted(told) && [alike.get(row) ?? [], told].every((than) => tellsMore(group, than)) ? group : [];
  });
  return trialsOf(better);
}

/** The same strikes by both passes: those that the second one has looked at. */
export interface BothPasses {
  first: Figure;
  second: Figure;
  /** Why the second one is not shipped; undefined when it is. */
  why: string | undefined;
}
export function bothPasses(first: readonly Told[], second: readonly Told[]): BothPasses[] {
  const shipped = secondTrialsOf(first, second);
  const all = grouped(first);
  const alike = new Map(figuresOf(alikeIn(first, second)).map((one) => [rowOf(one), one]));
  return figuresOf(second).flatMap((one) => {
    const other = alike.get(rowOf(one));
    const better = isTrusted(all.get(rowOf(one)) ?? []) ? 'no better' : 'the first pass does not tell it';
    const why = shipped[one.checkpoint]?.[one.seen] ? undefined : (one.why ?? better);
    return other && one.doubt !== undefined ? [{ first: other, second: one, why }] : [];
  });
}

/** Prints what a second pass with the largest model adds, each person by the trials of the others, as in `docs/measures.md`. */
export function benchSecondPass(first: readonly Told[], second: readonly Told[]): void {
  console.log('\nThe same strikes by both passes, each person by the trials of the others\n');
  printTable(
    [
      ...['checkpoint', 'from', 'strikes', 'spread', 'second', 'doubt', 'second', 'in 68%', 'in 95%', 'AUC', 'second'],
      ...['proposed', 'right', 'second', 'right', 'told'],
    ],
    bothPasses(first, second).map(({ first: one, second: other, why }) => [
      ...[other.checkpoint, other.seen, other.strikes, number(one.spread), number(other.spread), number(one.doubt)],
      ...[number(other.doubt), percent(other.within68), percent(other.within95), number(one.parted), number(other.parted)],
      ...[one.proposals, one.right, other.proposals, other.right, why ?? 'yes'],
    ]),
  );
}
