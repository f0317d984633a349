import { correctedBy, farOff, steadinesses, type Degrees } from '@wax-fist/core/measure';
import { mean, rollup } from 'd3-array';
import { bestReading, type heldBack, isTrusted, oneDoubt, proposalsOf, trialFor, within } from './held-back.ts';
import { percent } from './table.ts';
import { grouped, type Told } from './told.ts';

/** Each person's strikes, each row read as steadily as the trials of all others say, and measured by these. */
function* chosenByOthers(all: readonly Told[]): Generator<ReturnType<typeof heldBack>> {
  for (const group of grouped(all).values())
    for (const person of new Set(group.map((one) => one.person))) {
      const isTheirs = (one: Told): boolean => one.person === person;
      const others = bestReading(group.filter((one) => !isTheirs(one)));
      const trial = isTrusted(others) ? trialFor(others) : undefined;
      if (!trial) continue;
      const { steadiness } = others[0]!;
      const theirs = group.filter((one) => isTheirs(one) && one.steadiness === steadiness);
      if (theirs.length > 0) yield theirs.map((one) => ({ ...one, measured: correctedBy(trial, one.raw, 1) }));
    }
}

/**
 * Prints whether it holds for a person that how steadily a row is read was chosen on the others, and how often each way was chosen, as in
 * `docs/measures.md`.
 */
export function benchSteadiness(all: readonly Told[], chosen: readonly Told[]): void {
  const people = [...chosenByOthers(all)];
  const proposals = people.flatMap(proposalsOf);
  const share = (times: (degrees: Degrees) => number): string => percent(mean(people, (told) => within(told, times) ?? NaN));
  console.log(
    `\nRead as steadily as all others' trials say: ${proposals.length} proposals, right ${proposals.filter(Boolean).length}; in 68% ${share(oneDoubt)}, in 95% ${share(farOff)}`,
  );
  const rows = [...grouped(chosen).values()].filter(isTrusted);
  const counts = rollup(
    rows,
    (list) => list.length,
    ([one]) => one!.steadiness,
  );
  console.log(
    `Rows that are told, by how they are read: ${steadinesses.map((one) => `${one} ${counts.get(one) ?? 0}`).join(', ')}`,
  );
}
