import type { Seen } from '@wax-fist/core/measure';
import { mean, sum } from 'd3-array';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { benchDecided } from './decided.ts';
import { films } from './followed-films.ts';
import { benchMeasuring } from './measuring-speed.ts';
import { steadilyRead } from './held-back.ts';
import { everyStrike, figuresOf, isAlong, isHeld, ofUseFrom, ratesOf, trialsOf, type Figure } from './measures.ts';
import { benchMoments } from './moments.ts';
import { benchPoints, writePointErrors } from './points.ts';
import { benchSecondPass, secondTrialsOf } from './second-pass.ts';
import { benchSteadiness } from './steadiness.ts';
import { number, percent, printTable } from './table.ts';
import { everyReading } from './told.ts';

const titles = [
  ...['checkpoint', 'from', 'read', 'strikes', 'naive bias', 'bias', 'spread', 'doubt', 'in 68%', 'in 95%', 'AUC'],
  ...['proposed', 'right', 'told'],
];
const cellsOf = (one: Figure): (string | number)[] => [
  ...[
    one.checkpoint,
    one.seen,
    one.steadiness,
    one.strikes,
    number(one.naive),
    number(one.bias),
    number(one.spread),
    number(one.doubt),
  ],
  ...[percent(one.within68), percent(one.within95), number(one.parted), one.proposals, one.right, one.why ?? 'yes'],
];

const writeTrials = (file: string, name: string, doc: string, trials: ReturnType<typeof trialsOf>): void => {
  const text = [
    "import type { CheckpointId } from '../technique/index.ts';",
    "import type { KeptTrial, Seen } from './seen.ts';",
    '',
    `/** ${doc} Written by \`bin/bench measures --write\`. */`,
    `export const ${name}: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = ${JSON.stringify(trials)};`,
    '',
  ];
  writeFileSync(join(import.meta.dirname, '..', 'core', 'measure', file), text.join('\n'));
};

/** Prints whether the claimed doubt holds for people that no trial has seen, and what a proposal would be worth, as in `docs/measures.md`. */
export function benchMeasures(): void {
  const everyWay = everyReading('first');
  const [all, again] = [steadilyRead(everyWay), everyStrike('second')];
  if (process.argv.includes('--write')) {
    writeTrials('trials.ts', 'trials', 'What trials say of each measure by where it was seen from.', trialsOf(all));
    const doc = 'What trials say of measures by the points of a second pass, where it tells more than the first.';
    writeTrials('second-trials.ts', 'secondTrials', doc, secondTrialsOf(all, again));
    writePointErrors();
    return;
  }
  const figures = figuresOf(all);
  console.log(`\nMeasures by points on ${films.length} films, each person by the trials of the others\n`);
  printTable(titles, figures.map(cellsOf));
  const told = figures.filter(({ why }) => !why);
  const [made, right] = [sum(told, ({ proposals }) => proposals), sum(told, (one) => one.right)];
  console.log(`\nProposals of measures that are told: ${made}, right ${right}`);
  for (const [place, isThere] of [
    ['side', (seen: Seen) => !isAlong(seen)],
    ['front or askew', isAlong],
  ] as const) {
    const checkpoints = ofUseFrom(figures, isThere);
    console.log(`Of use from the ${place}: ${checkpoints.length}, ${checkpoints.join(', ')}`);
  }
  const rates = ratesOf(all);
  const holds = mean(rates, (rate) => Number(isHeld(rate)));
  const off = mean(rates, ({ truth, told: { rate } }) => Math.abs(rate - truth));
  const wide = mean(rates, ({ told: { low, high } }) => high - low);
  console.log(
    `Rates of a film by measures alone: ${rates.length}, true rate inside of the 90% interval in ${percent(holds)}, off by ${percent(off)} on the average, interval ${percent(wide)} wide`,
  );
  benchSteadiness(everyWay, all);
  benchSecondPass(all, again);
  benchMoments();
  benchDecided();
  benchPoints();
  benchMeasuring();
}
