import { readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { renderClip } from './render/render.ts';
import { checkedScene, type Scene } from './scene.ts';

const scenesFolder = join(dirname(fileURLToPath(import.meta.url)), 'scenes');

export const renderHelp = `bin/wax render <scene file or name> --out clip.mp4 [--truth truth.json.gz] [--view lead-side]
                [--style draft|full] [--seed n] [--seconds n] [--quality 18-35]
bin/wax render --list

Films the simulated trainee. The same scene and seed always give the same round.
`;

async function sceneNamed(nameOrFile: string): Promise<Scene> {
  const file = nameOrFile.endsWith('.json') ? nameOrFile : join(scenesFolder, `${nameOrFile}.json`);
  const text = await readFile(file, 'utf8').catch(() => {
    throw new Error(`There is no scene “${nameOrFile}”; bin/wax render --list shows those that ship.`);
  });
  return checkedScene(JSON.parse(text));
}

/** `bin/wax render …`; prints progress to stderr and throws with a plain message on bad input. */
export async function renderCommand(words: string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: words,
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      truth: { type: 'string' },
      view: { type: 'string' },
      style: { type: 'string', default: 'full' },
      seed: { type: 'string' },
      seconds: { type: 'string' },
      quality: { type: 'string' },
      list: { type: 'boolean' },
      help: { type: 'boolean' },
    },
  });
  if (values.help) return void process.stdout.write(renderHelp);
  if (values.list) {
    const names = (await readdir(scenesFolder)).map((file) => file.replace('.json', ''));
    return void process.stdout.write(`${names.sort().join('\n')}\n`);
  }
  const [name] = positionals;
  if (!name || !values.out) throw new Error(`A scene and --out are needed.\n\n${renderHelp}`);
  if (values.style !== 'draft' && values.style !== 'full') throw new Error('--style is draft or full.');
  const scene = await sceneNamed(name);
  if (values.seed) scene.seed = Number(values.seed);
  const camera = values.view ? scene.cameras.find(({ view }) => view === values.view) : scene.cameras[0];
  if (!camera)
    throw new Error(`The scene has no ${values.view} camera; it has ${scene.cameras.map(({ view }) => view).join(', ')}.`);
  const frameTime = await renderClip({
    scene,
    camera,
    style: values.style,
    out: values.out,
    truth: values.truth,
    quality: values.quality ? Number(values.quality) : undefined,
    seconds: values.seconds ? Number(values.seconds) : undefined,
    onProgress: (done, total) => {
      if (done % 30 === 0 || done === total) process.stderr.write(`\r${done} of ${total} frames`);
    },
  });
  process.stderr.write(`\n${(frameTime / 1000).toFixed(2)} s a frame\n`);
}
