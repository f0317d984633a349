import type { Seconds } from '@wax-fist/core/units';
import {
  anyTechnique,
  checkpointIn,
  schoolStill,
  switches,
  shippedCatalogue,
  stillFor,
  techniqueIn,
  type Checkpoint,
  type StillMoment,
  type View,
} from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { faultModels, type FaultModel } from './motion/fault/index.ts';
import { postureFaults } from './motion/fault/posture.ts';
import { isHabit, type HabitId } from './motion/habit.ts';
import { holderFaults, type HolderFaultId } from './motion/fault/holder.ts';
import { isHeld } from './motion/station.ts';
import { everythingThrown, usualStation, type Thrown } from './motion/technique/thrown.ts';
import { everySingle, isBeat, type Single } from './motion/technique/single.ts';
import { perform } from './motion/performance.ts';
import type { ThrownStrike } from './motion/thrown-round.ts';
import { areaOf, lookedAt, type StillArea } from './still-areas.ts';
import { checkedScene, type Scene, type SceneCamera, type SceneFault, type SceneHolder } from './scene.ts';

const here = dirname(fileURLToPath(import.meta.url));
/** Strong enough to be seen at a glance. */
const plain: [number, number] = [0.95, 1];
const [pictureWidth, pictureHeight] = [640, 360];
const cameraFor = (view: View, { station }: Scene): SceneCamera => ({
  view,
  distance: station && isHeld(station) ? 3.7 : 2.95,
  height: 1.15,
  frameRate: 60,
  pictureWidth,
  pictureHeight,
  shake: 0,
});

/** One picture: a technique as it should be, or with a fault, from where and when it is seen best. */
interface Still {
  /** Of the file. */
  folder: string;
  name: string;
  technique: Thrown;
  view: View;
  moment: StillMoment;
  fault?: string;
  holderFault?: HolderFaultId;
  habit?: HabitId;
}

const checkpointsOf = (technique: string): Checkpoint[] =>
  techniqueIn(shippedCatalogue, technique).checkpoints.map((id) => checkpointIn(shippedCatalogue, id));
const faultStill = (folder: string, technique: Thrown, checkpointId: string): Still => ({
  folder,
  name: `${checkpointId}.fault`,
  technique,
  ...stillFor(checkpointIn(shippedCatalogue, checkpointId)),
});

/** How everything that a technique is judged by should look. Checkpoints that agree in view and moment share a picture. */
function cleanStills(folder: string, technique: Thrown): Still[] {
  const stills = new Map<string, Still>();
  for (const checkpoint of checkpointsOf(folder).filter(({ measure }) => measure !== 'ear')) {
    const still = stillFor(checkpoint);
    const name = `${still.view}.${still.moment}`;
    stills.set(name, { folder, name, technique, ...still });
  }
  return [...stills.values()];
}

const holdsForAll = (fault: FaultModel): boolean => postureFaults.includes(fault) && fault.of.includes('jab');

/** What the simulated trainee can show of a technique by itself; what holds for all is pictured once, with a jab. */
export function stillsOf(technique: Thrown): Still[] {
  const faults = faultModels.filter((fault) => fault.of.includes(technique) && !holdsForAll(fault));
  const own = new Set<string>(faults.map(({ checkpoint }) => checkpoint));
  // The same thing under another name: a kick that leans back is looked at as kick and as stance.
  const twins = checkpointsOf(technique).flatMap(({ id: checkpoint, measure }) => {
    const twin = faults.find(
      (fault) =>
        fault.alsoShows?.some((id) => id === checkpoint) && checkpointIn(shippedCatalogue, fault.checkpoint).measure === measure,
    );
    return twin && !own.has(checkpoint) && !pictured.has(checkpoint) ? [{ id: twin.id, checkpoint }] : [];
  });
  return [
    ...cleanStills(technique, technique),
    ...[...faults, ...twins].map(({ id, checkpoint }) => ({ ...faultStill(technique, technique, checkpoint), fault: id })),
  ];
}

/** Where a school's choice can be seen: the checkpoints that it changes, pictured with a technique that shows it. */
function schoolStills(): Still[] {
  return switches.flatMap(({ id: switchId, choices }) =>
    choices.flatMap(({ id, effects }) => {
      const habit = `${switchId}.${id}`;
      if (!isHabit(habit)) return [];
      const changed = [...(effects.bands ?? []), ...(effects.words ?? []), ...(effects.adds ?? []), ...(effects.reports ?? [])];
      const stills = changed.flatMap(({ checkpoint, techniques }) =>
        (techniques ?? [shownBy(checkpoint)]).filter(isSingle).map((technique): Still => ({
          ...faultStill(technique, technique, checkpoint),
          name: schoolStill(checkpoint, switchId, id),
          habit,
        })),
      );
      return [...new Map(stills.map((still) => [`${still.folder}/${still.name}`, still])).values()];
    }),
  );
}
const isSingle = (technique: string): technique is Single => (everySingle as readonly string[]).includes(technique);
/** A checkpoint of every technique is pictured once, with a jab. */
const shownBy = (checkpoint: string): Single =>
  everySingle.find((technique) => techniqueIn(shippedCatalogue, technique).checkpoints.includes(checkpoint)) ?? 'jab';

/** Checkpoints whose fault is pictured once for all. */
const pictured: ReadonlySet<string> = new Set(faultModels.filter(holdsForAll).map(({ checkpoint }) => checkpoint));

/** Everything that ships. */
export const everyStill = (): Still[] => [
  ...everythingThrown.flatMap(stillsOf),
  ...faultModels.filter(holdsForAll).map(({ id, checkpoint }) => ({ ...faultStill(anyTechnique, 'jab', checkpoint), fault: id })),
  ...schoolStills(),
  ...cleanStills('holding', 'pad-called'),
  ...(Object.entries(holderFaults) as [HolderFaultId, string][]).map(([id, checkpoint]) => ({
    ...faultStill('holding', 'pad-called', checkpoint),
    holderFault: id,
  })),
];

/** Seconds into the strike at which a moment is seen; what is judged at home is seen on the way there. */
function secondsOf(moment: StillMoment, { launch, contact, leave, home }: ThrownStrike): Seconds {
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
export const stillsFolder = join(here, '..', 'web', 'features', 'stills', 'pictures');
export const pathOf = (root: string, { folder, name }: Still): string => join(root, folder, `${name}.webp`);

async function writePicture(picture: Buffer, path: string): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const encoder = spawn(
    'ffmpeg',
    ['-hide_banner', '-loglevel', 'error', '-y', '-f', 'mjpeg', '-i', '-', '-quality', '62', path],
    { stdio: ['pipe', 'inherit', 'inherit'] },
  );
  const finished = once(encoder, 'close');
  encoder.stdin.end(picture);
  const [code] = (await finished) as [number];
  if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
}

/** Who holds in the pictures. */
const holder = (fault?: HolderFaultId): SceneHolder => ({
  stance: 'orthodox',
  stature: 1.8,
  look: {
    skin: '#e0b490',
    hair: '#8a5a2c',
    top: '#4a4a52',
    shorts: '#1d2a3a',
    gloves: '#333333',
    shoes: '#c9c4b8',
    hairStyle: 'shaved',
    build: 1.1,
  },
  faults: fault ? [{ fault, share: 1, strength: plain }] : [],
});

function sceneOf(base: Scene, { technique, fault, holderFault, habit }: Still): Scene {
  const station = usualStation(technique);
  const faults: SceneFault[] = fault ? [{ fault, strike: technique, share: 1, strength: plain }] : [];
  const strikes = isBeat(technique) ? [technique, technique, technique] : [technique];
  return {
    ...base,
    station,
    work: [{ strikes, times: 1 }],
    faults,
    noise: -60,
    ...(habit && { habits: [habit] }),
    ...(isHeld(station) && { holder: holder(holderFault) }),
  };
}

/** For every still that ships, by checkpoint, the part of it that is looked at. */
export async function stillAreas(): Promise<Record<string, Record<string, StillArea>>> {
  const base = await baseScene();
  const areas: Record<string, Record<string, StillArea>> = {};
  for (const still of everyStill()) {
    const scene = sceneOf(base, still);
    const shot = { scene, camera: cameraFor(still.view, scene), performance: perform(scene) };
    const seconds = secondsOf(still.moment, shot.performance.strikes.at(-1)!);
    const known = lookedAt(still).flatMap((checkpoint) => {
      const area = areaOf(shot, seconds, checkpoint);
      return area ? [[checkpoint.id, area] as const] : [];
    });
    if (known.length > 0) areas[`${still.folder}/${still.name}`] = Object.fromEntries(known);
  }
  return areas;
}
const baseScene = async (): Promise<Scene> =>
  checkedScene(JSON.parse(await readFile(join(here, 'scenes', 'maren-first.json'), 'utf8')));

async function make({ out, style }: { out: string; style: 'draft' | 'full' }): Promise<void> {
  const { inStudio } = await import('./render/render.ts');
  const base = await baseScene();
  await writeFile(join(out, '..', 'areas.json'), JSON.stringify(await stillAreas()));
  const wanted = everyStill().filter((still) => !existsSync(pathOf(out, still)));
  // One scene for each technique and fault, one pass for each camera: what is there already is not made again.
  const groups = new Map<string, Still[]>();
  for (const still of wanted) {
    const key = [still.folder, still.fault, still.holderFault, still.habit, still.view].join();
    groups.set(key, [...(groups.get(key) ?? []), still]);
  }
  let made = 0;
  await inStudio(async (film) => {
    for (const group of groups.values()) {
      const [{ view }] = group as [Still];
      const scene = sceneOf(base, group[0]!);
      const strike = perform(scene).strikes.at(-1)!;
      const times = group.map(({ moment }) => secondsOf(moment, strike));
      const left = [...group];
      await film({ scene, camera: cameraFor(view, scene), style }, times, async (picture) => {
        await writePicture(picture, pathOf(out, left.shift()!));
        process.stderr.write(`\r${++made} of ${wanted.length} stills`);
      });
    }
  });
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
