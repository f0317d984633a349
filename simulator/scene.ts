import type { Stance } from './body/skeleton.ts';
import { faultModels } from './motion/fault.ts';
import { everythingThrown, type Thrown } from './motion/thrown.ts';

export const sceneViews = ['front', 'rear', 'lead-side', 'rear-side', 'quarter'] as const;
export type SceneView = (typeof sceneViews)[number];

/** Colours as #rrggbb. */
export interface Look {
  skin: string;
  hair: string;
  top: string;
  shorts: string;
  gloves: string;
  shoes: string;
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
  /** Metres from the trainee. */
  distance: number;
  /** Metres over the floor. */
  height: number;
  /** Frames a second. */
  frameRate: number;
  pictureWidth: number;
  pictureHeight: number;
  /** Hand shake, 0 for a tripod. */
  shake: number;
}

/** A round to be filmed. Plain JSON, so that a new case needs no code. */
export interface Scene {
  name: string;
  seed: number;
  stance: Stance;
  /** Metres. */
  stature: number;
  look: Look;
  /** Combinations with how often each is thrown; the order is drawn from the seed. */
  work: { strikes: Thrown[]; times: number }[];
  /** Worked by the bell: the combinations are spread over so many rounds. Without it, one round that nothing rings for. */
  bells?: { rounds: number; /** Seconds. */ rest: number };
  faults: SceneFault[];
  cameras: SceneCamera[];
  /** Room noise relative to the hits, in decibels (negative). */
  noise: number;
}

/** Checks a parsed scene file and throws with every mistake named. */
export function checkedScene(value: unknown): Scene {
  const scene = value as Scene;
  const mistakes: string[] = [];
  const need = (fine: boolean, mistake: string): void => void (fine || mistakes.push(mistake));
  need(typeof scene?.name === 'string' && scene.name.length > 0, 'name: a text is needed');
  need(Number.isInteger(scene?.seed), 'seed: a whole number is needed');
  need(['orthodox', 'southpaw'].includes(scene?.stance), 'stance: orthodox or southpaw');
  need(scene?.stature > 1 && scene.stature < 2.3, 'stature: metres, between 1 and 2.3');
  need(Array.isArray(scene?.work) && scene.work.length > 0, 'work: at least one combination');
  need(Array.isArray(scene?.cameras) && scene.cameras.length > 0, 'cameras: at least one');
  for (const [place, { strikes }] of (Array.isArray(scene?.work) ? scene.work : []).entries()) {
    for (const strike of strikes ?? [])
      need(everythingThrown.includes(strike), `work[${place}].strikes: nobody throws a “${strike}” here; there are ${everythingThrown.join(', ')}`); // prettier-ignore
  }
  const { bells } = scene ?? {};
  need(!bells || (Number.isInteger(bells.rounds) && bells.rounds > 0), 'bells.rounds: a whole number above 0');
  need(!bells || (bells.rest >= 4 && bells.rest <= 120), 'bells.rest: seconds, between 4 and 120');
  for (const [place, fault] of (scene?.faults ?? []).entries()) {
    const model = faultModels.find(({ id }) => id === fault.fault);
    need(model !== undefined, `faults[${place}]: no fault is called “${fault.fault}”`);
    need(!model || model.strikes.includes(fault.strike), `faults[${place}]: ${fault.fault} is not for the ${fault.strike}`);
    need(fault.share >= 0 && fault.share <= 1, `faults[${place}].share: between 0 and 1`);
  }
  for (const [place, camera] of (scene?.cameras ?? []).entries()) {
    need(sceneViews.includes(camera.view), `cameras[${place}].view: one of ${sceneViews.join(', ')}`);
    need(camera.frameRate >= 10 && camera.frameRate <= 240, `cameras[${place}].frameRate: 10 to 240`);
  }
  if (mistakes.length > 0) throw new Error(`The scene cannot be filmed:\n- ${mistakes.join('\n- ')}`);
  return scene;
}
