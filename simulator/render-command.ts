import { Command, InvalidArgumentError, Option } from 'commander';
import { readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

import { checkedScene, type Scene } from './scene.ts';

const scenesFolder = join(dirname(fileURLToPath(import.meta.url)), 'scenes');

async function sceneNamed(nameOrFile: string): Promise<Scene> {
  const file = nameOrFile.endsWith('.json') ? nameOrFile : join(scenesFolder, `${nameOrFile}.json`);
  const text = await readFile(file, 'utf8').catch(() => {
    throw new Error(`There is no scene “${nameOrFile}”; bin/simulate render --list shows those that ship.`);
  });
  return checkedScene(JSON.parse(text));
}

function number(text: string): number {
  const value = Number(text);
  if (text.trim() === '' || !Number.isFinite(value)) throw new InvalidArgumentError('It is a number.');
  return value;
}

interface Wish {
  out?: string;
  truth?: string;
  view?: string;
  style: 'draft' | 'full';
  seed?: number;
  seconds?: number;
  quality?: number;
  list?: boolean;
}

async function render(name: string | undefined, wish: Wish): Promise<void> {
  if (wish.list) {
    const names = (await readdir(scenesFolder)).map((file) => file.replace('.json', ''));
    return void process.stdout.write(`${names.sort().join('\n')}\n`);
  }
  if (!name || (!wish.out && !wish.truth))
    throw new Error('A scene and --out or --truth are needed; bin/simulate render --help tells more.');
  const scene = await sceneNamed(name);
  if (wish.seed !== undefined) scene.seed = wish.seed;
  const camera = wish.view ? scene.cameras.find(({ view }) => view === wish.view) : scene.cameras[0];
  if (!camera)
    throw new Error(`The scene has no ${wish.view} camera; it has ${scene.cameras.map(({ view }) => view).join(', ')}.`);
  const { style, out, truth, quality, seconds } = wish;
  // Loaded only now: the renderer is by far the largest part of the command line.
  const { renderFilm, writeTruth } = await import('./render/render.ts');
  if (!out) return writeTruth(truth!, scene, camera, seconds);
  const frameTime = await renderFilm({
    scene,
    camera,
    style,
    out,
    truth,
    quality,
    seconds,
    onProgress: (done, total) => {
      if (done % 30 === 0 || done === total) process.stderr.write(`\r${done} of ${total} frames`);
    },
  });
  process.stderr.write(`\n${(frameTime / 1000).toFixed(2)} s a frame\n`);
}

export const renderCommand = (): Command =>
  new Command('render')
    .description('Film the simulated trainee. The same scene and seed always give the same round.')
    .argument('[scene]', 'a scene that ships, or a scene file')
    .option('--out <file>', 'where the film goes')
    .option('--truth <file>', 'where the truth goes (.json.gz); without --out nothing is filmed')
    .option('--view <view>', 'which of the scene’s cameras')
    .addOption(new Option('--style <style>', 'draft is fast, full looks filmed').choices(['draft', 'full']).default('full'))
    .option('--seed <number>', 'another round of the same scene', number)
    .option('--seconds <number>', 'only the beginning', number)
    .option('--quality <number>', '18 (fine) to 35 (coarse)', number)
    .option('--list', 'print the scenes that ship')
    .action(render);
