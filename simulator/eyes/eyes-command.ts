import { keptNetwork, type KeptNetwork } from '@wax-fist/core/network';
import { nothing } from '@wax-fist/core/strikes';
import { Command } from 'commander';
import { perform } from '../motion/performance.ts';
import { footworkModels } from '../motion/technique/footwork.ts';
import { everySingle, isBeat } from '../motion/technique/single.ts';
import type { SceneView } from '../scene.ts';
import { writeKept } from '../training/kept-file.ts';
import { trained, type Examples } from '../training/train.ts';
import { examplesOfMotion } from './examples.ts';
import { anybody, unfilmed } from './unfilmed.ts';

/** Sides from which strikes are told apart. */
const views: readonly SceneView[] = ['lead-side', 'rear-side', 'front', 'quarter'];
const people = 170;
const training = { seed: 3, units: 48, epochs: 8, decay: 0.05, blur: 0.15 };

/** What is told apart: strikes and defences; steps are no strike, and beats of the speed bag are heard. */
const told: readonly string[] = [nothing, ...everySingle.filter((one) => !isBeat(one) && !(one in footworkModels))];

/** Trains a network for each side, on bodies that nobody has filmed. */
async function train(): Promise<void> {
  const say = (line: string): void => void process.stderr.write(`${line}\n`);
  const networks: Record<string, KeptNetwork> = {};
  for (const view of views) {
    const examples: Examples = { rows: [], classes: [] };
    for (let seed = 0; seed < people; seed++) {
      const plan = anybody(seed);
      const seen = examplesOfMotion(unfilmed(plan, perform(plan), view, seed * views.length + views.indexOf(view)), told, seed);
      for (const row of seen.rows) examples.rows.push(row);
      examples.classes.push(...seen.classes);
      if (seed % 10 === 0) say(`${view}: ${seed} of ${people} people`);
    }
    networks[view] = keptNetwork(
      trained(told, examples, { ...training, onEpoch: (epoch, loss) => say(`${view}, epoch ${epoch + 1}: ${loss.toFixed(4)}`) }),
    );
  }
  await writeKept({
    file: 'strikes/kept-eyes.ts',
    name: 'keptEyes',
    of: 'what a moving body does, by the side that the camera is on; trained on simulated bodies by `bin/simulate eyes`',
    networks,
  });
}

export const eyesCommand = (): Command =>
  new Command('eyes')
    .description('Train what tells strikes and defences from a moving body, and write it beside the core. Half an hour and more.')
    .action(train);
