import { checkpointIn, shippedCatalogue, techniqueIn, type Phase } from '@wax-fist/core/technique';
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
import { checkedScene, sceneViews, type Scene, type SceneCamera, type SceneFault, type SceneView } from './scene.ts';

const here = dirname(fileURLToPath(import.meta.url));
/** Strong enough to be seen at a glance. */
const plain: [number, number] = [0.95, 1];
const [pictureWidth, pictureHeight] = [640, 360];
const cameraFor = (view: SceneView): SceneCamera => ({ view, distance: 2.95, height: 1.15, frameRate: 60, pictureWidth, pictureHeight, shake: 0 }); // prettier-ignore

/** One picture: a technique, clean or with a fault, at the moment that shows a checkpoint best. */
interface Still {
  technique: Thrown;
  checkpoint: string;
  kind: 'clean' | 'fault';
  fault?: string;
}

/** Everything that the simulated trainee can show: each checkpoint done well, and each fault that it can make. */
function stillsOf(technique: Still['technique']): Still[] {
  const { checkpoints } = techniqueIn(shippedCatalogue, technique);
  const faults = faultModels.filter(({ strikes }) => strikes.includes(technique));
  const clean = checkpoints
    .filter((id) => checkpointIn(shippedCatalogue, id).measure !== 'ear')
    .map((checkpoint): Still => ({ technique, checkpoint, kind: 'clean' }));
  return [...clean, ...faults.map(({ id, checkpoint }): Still => ({ technique, checkpoint, kind: 'fault', fault: id }))];
}

/** Judged by the way the fist takes, and not by where it ends. */
const onTheWay: readonly string[] = ['sm.straight'];

/** Seconds into the strike at which a checkpoint is seen; on the way home for what is judged there. */
function momentOf(checkpoint: string, { launch, contact, leave, home }: ThrownStrike): number {
  if (onTheWay.includes(checkpoint)) return launch + (contact - launch) * 0.62;
  const moments: Record<Phase, number> = { ready: launch - 0.12, launch: launch + 0.015, contact, home: leave + (home - leave) * 0.62, exit: home + 0.25 }; // prettier-ignore
  return moments[checkpointIn(shippedCatalogue, checkpoint).phase];
}

/** The view from which it is seen best, of those that the camera can take. */
const viewOf = (checkpoint: string): SceneView =>
  checkpointIn(shippedCatalogue, checkpoint).views.find((view) => (sceneViews as readonly string[]).includes(view)) ??
  'lead-side';

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
  const pathOf = ({ technique, checkpoint, kind }: Still): string => join(out, technique, `${checkpoint}.${kind}.webp`);
  const wanted = everythingThrown.flatMap(stillsOf).filter((still) => !existsSync(pathOf(still)));
  // One scene for each technique and fault, one pass for each camera: what is there already is not made again.
  const groups = new Map<string, Still[]>();
  for (const still of wanted) {
    const key = [still.technique, still.fault, viewOf(still.checkpoint)].join();
    groups.set(key, [...(groups.get(key) ?? []), still]);
  }
  let made = 0;
  for (const group of groups.values()) {
    const [{ technique, fault, checkpoint }] = group as [Still];
    const faults: SceneFault[] = fault ? [{ fault, strike: technique, share: 1, strength: plain }] : [];
    const scene: Scene = { ...base, work: [{ strikes: [technique], times: 1 }], faults, noise: -60 };
    const [strike] = perform(scene).strikes;
    const times = group.map((still) => momentOf(still.checkpoint, strike!));
    const left = [...group];
    await filmInBrowser({ scene, camera: cameraFor(viewOf(checkpoint)), style }, times, async (pixels) => {
      await writePicture(pixels, pathOf(left.shift()!));
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
    .option('--out <folder>', 'where the pictures go', join(here, '..', 'web', 'features', 'technique', 'stills'))
    .addOption(new Option('--style <style>', 'draft is fast, full looks filmed').choices(['draft', 'full']).default('full'))
    .action(make);
