import { chancesOf, keptNetwork } from '@wax-fist/core/network';
import { contextOf, onsetClasses } from '@wax-fist/core/sound';
import { Command } from 'commander';
import { libraryFor } from '../recordings/library.ts';
import { writeKept } from '../training/kept-file.ts';
import { trained, type Examples } from '../training/train.ts';
import { examplesOf } from './examples.ts';
import { withSimulated } from './simulated.ts';

const simulatedSeed = 5;
/** So many stretches of either library, half a minute each. */
const stretches = 500;
/** The second network is small, and needs few. */
const stretchesInFilm = 200;
const alone = { seed: 7, units: 28, epochs: 12, decay: 0.05, blur: 0.15 };
const inFilm = { seed: 2, units: 6, epochs: 20, decay: 0.02, blur: 0.05 };

const say = (line: string): void => void process.stderr.write(`${line}\n`);

function joined(parts: readonly Examples[]): Examples {
  return { rows: parts.flatMap(({ rows }) => rows), classes: parts.flatMap(({ classes }) => classes) };
}

/**
 * Trains both networks of the ears. The second is trained on what the first says of recordings that it never heard; then the first
 * is trained once more, on all.
 */
async function train(recordings: string): Promise<void> {
  const training = withSimulated(await libraryFor('training', recordings), simulatedSeed);
  const tuning = { ...(await libraryFor('tuning', recordings)), note: training.note };
  const stretchesOf = (library: typeof training, from: number): Examples[] =>
    Array.from({ length: stretches }, (_, place) => {
      if (place % 50 === 0) say(`${place} of ${stretches} stretches`);
      return examplesOf(library, from + place);
    });
  const [learned, unheard] = [stretchesOf(training, 0), stretchesOf(tuning, stretches)];
  const onEpoch = (epoch: number, loss: number): void => say(`epoch ${epoch + 1}: ${loss.toFixed(4)}`);
  const first = trained(onsetClasses, joined(learned), { ...alone, onEpoch });
  const hit = onsetClasses.indexOf('hit');
  const among = unheard.slice(0, stretchesInFilm).map(({ rows, classes }) => ({
    rows: contextOf(
      rows,
      rows.map((row) => chancesOf(first, row)[hit]!),
    ),
    classes,
  }));
  const second = trained(onsetClasses, joined(among), { ...inFilm, onEpoch });
  const all = trained(onsetClasses, joined([...learned, ...unheard]), { ...alone, onEpoch });
  await writeKept({
    file: 'sound/kept-ears.ts',
    name: 'keptEars',
    of: 'alone an onset is judged by itself, inFilm among all of its film; trained on recorded sounds by `bin/simulate ears`',
    networks: { alone: keptNetwork(all), inFilm: keptNetwork(second) },
  });
}

export const earsCommand = (): Command =>
  new Command('ears')
    .description(
      'Train what tells hits from all else that is heard, and write it beside the core. A quarter of an hour and more.',
    )
    .requiredOption('--recordings <folder>', 'packages of recordings as simulator/fetch-recordings.sh brings them')
    .action(({ recordings }: { recordings: string }) => train(recordings));
