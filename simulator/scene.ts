import type { Metres, Seconds } from '@wax-fist/core/units';
import type { Stance } from '@wax-fist/core/technique';
import { hairStyles, legStyles, topStyles, type Look } from './look.ts';
import { habitIds, isHabit, type HabitId } from './motion/habit.ts';
import { holderFaults, type HolderFaultId } from './motion/fault/holder.ts';
import { disturbances, type Disturbance } from './sound/disturbance.ts';
import { canShow, faultModels } from './motion/fault/index.ts';
import { isHeld, isStation, stationIds, type StationId } from './motion/station.ts';
import { everythingThrown, type Thrown } from './motion/technique/thrown.ts';

export const sceneViews = ['front', 'rear', 'lead-side', 'rear-side', 'quarter'] as const;
export type SceneView = (typeof sceneViews)[number];

export interface SceneHolder {
  stance: Stance;
  stature: Metres;
  look: Look;
  /** Share of the strikes that are held for like this. */
  faults: { fault: HolderFaultId; share: number; strength: [number, number] }[];
}

/** Another sound in the room, so many decibels quieter than the hits. */
export interface SceneSound {
  by: Disturbance;
  decibels: number;
}

export interface SceneFault {
  fault: string;
  strike: Thrown;
  /** Share of this strike's repetitions that show the fault, 0 to 1. */
  share: number;
  /** Weakest and strongest, 0 to 1. */
  strength: [number, number];
}

export interface SceneCamera {
  view: SceneView;
  /** From the trainee. */
  distance: Metres;
  /** Over the floor. */
  height: Metres;
  /** Frames a second. */
  frameRate: number;
  pictureWidth: number;
  pictureHeight: number;
  /** Hand shake, 0 for a tripod. */
  shake: number;
  /** Degrees from top to bottom; 33 when nothing is said. */
  fieldOfView?: number;
  /** Degrees that it is held askew. */
  roll?: number;
  /** Degrees round the trainee from where it should stand, towards the lead side. */
  turned?: number;
  /** Beside and above what it should be pointed at: somebody may be partly out of the picture. */
  aim?: { x: Metres; y: Metres };
  /** Share of the time between two frames that the shutter is open; none is a sharp picture. */
  exposure?: number;
  /** How unevenly frames are taken, as a share of their distance: phones do, 0 for an even rate. */
  uneven?: number;
  /** Its own clock: when in the round it begins, and how much faster it runs. */
  starts?: Seconds;
  drift?: number;
  /** x264 quality, 18 fine to 35 coarse. */
  quality?: number;
}

/** A round to be filmed. Plain JSON, so that a new case needs no code. */
export interface Scene {
  name: string;
  seed: number;
  stance: Stance;
  stature: Metres;
  look: Look;
  /** Combinations with how often each is thrown; the order is drawn from the seed. */
  work: { strikes: Thrown[]; times: number }[];
  /** Where it is worked; at the heavy bag when nothing is said. */
  station?: StationId;
  /** How the trainee was taught where coaches differ, as switch.choice of a school; as usual when nothing is said. */
  habits?: HabitId[];
  /** How tired the trainee is at the end, 0 to 1: slower, hands lower, elbows wider. */
  tired?: number;
  /** Worked by the bell: the combinations are spread over so many rounds. Without it, one round that nothing rings for. */
  bells?: { rounds: number; rest: Seconds };
  faults: SceneFault[];
  /** Who holds, where something is held. */
  holder?: SceneHolder;
  cameras: SceneCamera[];
  /** Room noise relative to the hits, in decibels (negative). */
  noise: number;
  /** Talk, music and fans besides. */
  sounds?: SceneSound[];
}

/** A parsed file that somebody wrote by hand: anything may be missing. */
type Unchecked = Partial<Omit<Scene, 'work' | 'holder'>> & {
  work?: Partial<Scene['work'][number]>[];
  holder?: Partial<SceneHolder>;
};

const stances: readonly unknown[] = ['orthodox', 'southpaw'];
const isStature = (value: unknown): boolean => typeof value === 'number' && value > 1 && value < 2.3;
const isShare = (value: unknown): boolean => typeof value === 'number' && value >= 0 && value <= 1;
const isNumberOr = (value: unknown, from: number, to: number): boolean =>
  value === undefined || (typeof value === 'number' && value >= from && value <= to);
type Need = (fine: boolean, mistake: string) => void;

function checkLook(look: Look | undefined, where: string, need: Need): void {
  for (const colour of ['skin', 'hair', 'top', 'shorts', 'gloves', 'shoes'] as const)
    need(/^#[0-9a-f]{6}$/i.test(look?.[colour] ?? ''), `${where}.${colour}: a colour as #rrggbb`);
  const oneOf = (value: unknown, list: readonly string[], what: string): void =>
    need(value === undefined || list.includes(value as string), `${where}.${what}: one of ${list.join(', ')}`);
  oneOf(look?.hairStyle, hairStyles, 'hairStyle');
  oneOf(look?.topStyle, topStyles, 'topStyle');
  oneOf(look?.legs, legStyles, 'legs');
  oneOf(look?.hands, ['gloves', 'wraps'], 'hands');
  oneOf(look?.feet, ['shoes', 'bare'], 'feet');
  need(isNumberOr(look?.build, 0.8, 1.3), `${where}.build: between 0.8 and 1.3`);
  need(isNumberOr(look?.head, 0.9, 1.3), `${where}.head: between 0.9 and 1.3`);
}

function checkCamera(camera: SceneCamera, where: string, need: Need): void {
  need(sceneViews.includes(camera.view), `${where}.view: one of ${sceneViews.join(', ')}`);
  need(camera.frameRate >= 10 && camera.frameRate <= 240, `${where}.frameRate: 10 to 240`);
  need(isNumberOr(camera.fieldOfView, 10, 110), `${where}.fieldOfView: 10 to 110 degrees`);
  need(isNumberOr(camera.roll, -45, 45), `${where}.roll: -45 to 45 degrees`);
  need(isNumberOr(camera.turned, -45, 45), `${where}.turned: -45 to 45 degrees`);
  need(isNumberOr(camera.exposure, 0, 1), `${where}.exposure: between 0 and 1`);
  need(isNumberOr(camera.uneven, 0, 0.9), `${where}.uneven: between 0 and 0.9`);
  need(isNumberOr(camera.starts, -30, 600), `${where}.starts: seconds, -30 to 600`);
  need(isNumberOr(camera.drift, -0.01, 0.01), `${where}.drift: between -0.01 and 0.01`);
  need(isNumberOr(camera.quality, 18, 35), `${where}.quality: 18 to 35`);
}

/** Checks a parsed scene file and throws with every mistake named. */
export function checkedScene(value: unknown): Scene {
  const scene = (value ?? {}) as Unchecked;
  const mistakes: string[] = [];
  const need: Need = (fine, mistake) => {
    if (!fine) mistakes.push(mistake);
  };
  need(typeof scene.name === 'string' && scene.name.length > 0, 'name: a text is needed');
  need(Number.isInteger(scene.seed), 'seed: a whole number is needed');
  need(stances.includes(scene.stance), 'stance: orthodox or southpaw');
  need(isStature(scene.stature), 'stature: metres, between 1 and 2.3');
  checkLook(scene.look, 'look', need);
  need(Array.isArray(scene.work) && scene.work.length > 0, 'work: at least one combination');
  need(Array.isArray(scene.cameras) && scene.cameras.length > 0, 'cameras: at least one');
  for (const [place, { strikes }] of (Array.isArray(scene.work) ? scene.work : []).entries()) {
    for (const strike of strikes ?? [])
      need(
        everythingThrown.includes(strike),
        `work[${place}].strikes: nobody throws a “${strike}” here; there are ${everythingThrown.join(', ')}`,
      );
  }
  const { bells, station, holder } = scene;
  need(station === undefined || isStation(station), `station: one of ${stationIds.join(', ')}`);
  for (const [place, habit] of (scene.habits ?? []).entries())
    need(isHabit(habit), `habits[${place}]: one of ${habitIds.join(', ')}`);
  need(isNumberOr(scene.tired, 0, 1), 'tired: between 0 and 1');
  need(!station || !isHeld(station) || holder !== undefined, `holder: somebody has to hold the ${station}`);
  need(!holder || (station !== undefined && isHeld(station)), 'holder: there is nothing to hold at this station');
  if (holder) {
    need(stances.includes(holder.stance), 'holder.stance: orthodox or southpaw');
    need(isStature(holder.stature), 'holder.stature: metres, between 1 and 2.3');
    checkLook(holder.look, 'holder.look', need);
    for (const [place, { fault, share }] of (holder.faults ?? []).entries()) {
      need(fault in holderFaults, `holder.faults[${place}]: one of ${Object.keys(holderFaults).join(', ')}`);
      need(isShare(share), `holder.faults[${place}].share: between 0 and 1`);
    }
  }
  need(!bells || (Number.isInteger(bells.rounds) && bells.rounds > 0), 'bells.rounds: a whole number above 0');
  need(!bells || (bells.rest >= 4 && bells.rest <= 120), 'bells.rest: seconds, between 4 and 120');
  for (const [place, fault] of (scene.faults ?? []).entries()) {
    const model = faultModels.find(({ id }) => id === fault.fault);
    need(model !== undefined, `faults[${place}]: no fault is called “${fault.fault}”`);
    need(!model || canShow(model, fault.strike), `faults[${place}]: ${fault.fault} is not for the ${fault.strike}`);
    need(isShare(fault.share), `faults[${place}].share: between 0 and 1`);
  }
  for (const [place, camera] of (scene.cameras ?? []).entries()) checkCamera(camera, `cameras[${place}]`, need);
  for (const [place, { by }] of (scene.sounds ?? []).entries())
    need(disturbances.includes(by), `sounds[${place}].by: one of ${disturbances.join(', ')}`);
  if (mistakes.length > 0) throw new Error(`The scene cannot be filmed:\n- ${mistakes.join('\n- ')}`);
  return scene as Scene;
}
