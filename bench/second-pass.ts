import type { KeptTrial, Seen } from '@wax-fist/core/measure';
import { doubtOf, figuresOf, grouped, trialsOf, type Figure, type Told } from './measures.ts';
import { number, percent, printTable } from './table.ts';

/** A second pass has to tell at least so much more: its doubt is that share of what the first one’s is. */
const worthwhile = 0.9;

/** What is shipped of a second pass: trials of measures that keep what they claim, and that the first one does not tell, or with more doubt. */
export function secondTrialsOf(
  first: readonly Told[],
  second: readonly Told[],
): Record<string, Partial<Record<Seen, KeptTrial>>> {
  const told = trialsOf(first);
  const firstGroups = grouped(first);
  const trials: ReturnType<typeof secondTrialsOf> = {};
  const all = trialsOf(second);
  for (const [key, group] of grouped(second)) {
    const { checkpoint, seen } = group[0]!;
    const trial = all[checkpoint]?.[seen];
    if (!trial) continue;
    const isTold = told[checkpoint]?.[seen] !== undefined;
    if (!isTold || doubtOf(group) <= worthwhile * doubtOf(firstGroups.get(key))) (trials[checkpoint] ??= {})[seen] = trial;
  }
  return trials;
}

/** The same strikes by both passes: those that the second one has looked at. */
export interface BothPasses {
  first: Figure;
  second: Figure;
  /** Whether the second one is shipped. */
  told: boolean;
}
export function bothPasses(first: readonly Told[], second: readonly Told[]): BothPasses[] {
  const idOf = ({ checkpoint, seen, film, strike }: Told): string => `${checkpoint} ${seen} ${film} ${strike}`;
  const looked = new Set(second.map(idOf));
  const shipped = secondTrialsOf(first, second);
  const alike = new Map(
    figuresOf(first.filter((one) => looked.has(idOf(one)))).map((one) => [`${one.checkpoint} ${one.seen}`, one]),
  );
  return figuresOf(second).flatMap((one) => {
    const other = alike.get(`${one.checkpoint} ${one.seen}`);
    const told = shipped[one.checkpoint]?.[one.seen] !== undefined;
    return other && one.doubt !== undefined ? [{ first: other, second: one, told }] : [];
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
    bothPasses(first, second).map(({ first: one, second: other, told }) => [
      ...[other.checkpoint, other.seen, other.strikes, number(one.spread), number(other.spread), number(one.doubt)],
      ...[number(other.doubt), percent(other.within68), percent(other.within95), number(one.parted), number(other.parted)],
      ...[one.proposals, one.right, other.proposals, other.right, told ? 'yes' : (other.why ?? 'no better')],
    ]),
  );
}
