import { Command } from 'commander';
import { readFile, writeFile } from 'node:fs/promises';
import { gunzipSync, gzipSync } from 'node:zlib';
import { perform } from './motion/performance.ts';
import { truthOf, type Truth } from './truth/truth.ts';

/** A body that was filmed and one that is performed now are the same as far as pixels are told. */
const samePlace = 0.3;

/**
 * What is true of a film that is there already, told anew: measures that are new since join those that are known. Undefined when
 * whoever was filmed moved otherwise than they would today: then the film and its truth belong together as they are.
 */
export function toldAnew(truth: Truth): Truth | undefined {
  const now = truthOf(
    truth.scene,
    truth.camera,
    perform(truth.scene),
    truth.frameTimes.map((time) => time / 1000),
  );
  const moved = truth.pixels.some((row, frame) =>
    row.some((place, number) => Math.abs(place - now.pixels[frame]![number]!) > samePlace),
  );
  if (moved || now.strikes.length !== truth.strikes.length) return undefined;
  const strikes = truth.strikes.map((strike, place) => ({
    ...strike,
    measures: { ...strike.measures, ...now.strikes[place]!.measures },
  }));
  return { ...truth, strikes };
}

async function tellAnew(files: readonly string[]): Promise<void> {
  for (const file of files) {
    const truth = toldAnew(JSON.parse(gunzipSync(await readFile(file)).toString()) as Truth);
    if (truth) await writeFile(file, gzipSync(JSON.stringify(truth), { level: 9 }));
    else process.stdout.write(`${file}: left as it is, it shows a body that moves otherwise today.\n`);
  }
}

export const truthCommand = (): Command =>
  new Command('truth')
    .description('Tell anew what is true of films that are there, once there are new measures. Films stay as they are.')
    .argument('<files...>', 'truths that were written beside films, .truth.json.gz')
    .action(tellAnew);
