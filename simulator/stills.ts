import { checkpointIn, shippedCatalogue, stillFor, techniqueIn, type StillMoment, type View } from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import { mkdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { faultModels } from './motion/fault.ts';
import { everythingThrown, type Thrown } from './motion/thrown.ts';
import { perform, type ThrownStrike } from './motion/performance.ts';
import { checkedScene, type Scene, type SceneCamera, type SceneFault } from './scene.ts';

const here = dirname(fileURLToPath(import.meta.url));
/** Strong enough to be seen at a glance. */
const plain: [number, number] = [0.95, 1];
const [pictureWidth, pictureHeight] = [640, 360];
const cameraFor = (view: View): SceneCamera => ({ view, distance: 2.95, height: 1.15, frameRate: 60, pictureWidth, pictureHeight, shake: 0 }); // prettier-ignore

/** One picture: a technique as it should be, or with a fault, from where and when it is seen best. */
interface Still {
  technique: Thrown;
  /** Of the file, inside of the technique's folder. */
  name: string;
  view: View;
  moment: StillMoment;
  fault?: string;
}

/** Everything that the simulated trainee can show: how each checkpoint should look, and each fault that it can make. */
export function stillsOf(technique: Thrown): Still[] {
  const checkpoints = techniqueIn(shippedCatalogue, technique).checkpoints.map((id) => checkpointIn(shippedCatalogue, id));
  const clean = new Map<string, Still>();
  for (const checkpoint of checkpoints.filter(({ measure }) => measure !== 'ear')) {
    const still = stillFor(checkpoint);
    const name = `${still.view}.${still.moment}`;
    clean.set(name, { technique, name, ...still });
  }
  const faults = faultModels
    .filter(({ strikes }) => strikes.includes(technique))
    .map(({ id, checkpoint }): Still => ({ technique, name: `${checkpoint}.fault`, fault: id, ...stillFor(checkpointIn(shippedCatalogue, checkpoint)) })); // prettier-ignore
  return [...clean.values(), ...faults];
}

/** Seconds into the strike at which a moment is seen; what is judged at home is seen on the way there. */
function secondsOf(moment: StillMoment, { launch, contact, leave, home }: ThrownStrike): number {
  const moments: Record<StillMoment, number> = {
    ready: launch - 0.12,
    launch: launch + 0.015,
    way: launch + (contact - launch) * 0.62,
    contact,
    home: leave + (home - leave) * 0.62,
    exit: home + 0.25,
  };
  return moments[moment];
}

/** Where the pictures that ship lie. */
export const stillsFolder = join(here, '..', 'web', 'features', 'technique', 'stills');
export const pathOf = (folder: string, { technique, name }: Still): string => join(folder, technique, `${name}.webp`);

async function writePicture(pixels: Buffer, path: string): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const encoder = spawn(
    'ffmpeg',
    ['-hide_banner', '-loglevel', 'error', '-y', '-f', 'rawvideo', '-pix_fmt', 'rgba', '-s', `${pictureWidth}x${pictureHeight}`, '-i', '-', '-vf', 'vflip', '-quality', '62', path],
    { stdio: ['pipe', 'inherit', 'inherit'] },
  ); // prettier-ignore
  const finished = once(encoder, 'close');
  encoder.stdin.end(pixels);
  const [code] = (await finished) as [number];
  if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
}

async function make({ out, style }: { out: string; style: 'draft' | 'full' }): Promise<void> {
  const { filmInBrowser } = await import('./render/render.ts');
  const base = checkedScene(JSON.parse(await readFile(join(here, 'scenes', 'maren-first.json'), 'utf8')));
  const wanted = everythingThrown.flatMap(stillsOf).filter((still) => !existsSync(pathOf(out, still)));
  // One scene for each technique and fault, one pass for each camera: what is there already is not made again.
  const groups = new Map<string, Still[]>();
  for (const still of wanted) {
    const key = [still.technique, still.fault, still.view].join();
    groups.set(key, [...(groups.get(key) ?? []), still]);
  }
  let made = 0;
  for (const group of groups.values()) {
    const [{ technique, fault, view }] = group as [Still];
    const faults: SceneFault[] = fault ? [{ fault, strike: technique, share: 1, strength: plain }] : [];
    const scene: Scene = { ...base, work: [{ strikes: [technique], times: 1 }], faults, noise: -60 };
    const [strike] = perform(scene).strikes;
    const times = group.map(({ moment }) => secondsOf(moment, strike!));
    const left = [...group];
    await filmInBrowser({ scene, camera: cameraFor(view), style }, times, async (pixels) => {
      await writePicture(pixels, pathOf(out, left.shift()!));
      process.stderr.write(`\r${++made} of ${wanted.length} stills`);
    });
  }
  process.stderr.write(wanted.length === 0 ? 'Every still is there.\n' : '\n');
}

export const stillsCommand = (): Command =>
  new Command('stills')
    .description(
      'Picture how each technique should look, and each fault, from the simulated trainee. Makes only what is missing.',
    )
    .option('--out <folder>', 'where the pictures go', stillsFolder)
    .addOption(new Option('--style <style>', 'draft is fast, full looks filmed').choices(['draft', 'full']).default('full'))
    .action(make);
