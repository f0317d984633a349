import { pointAt, type PointName, type Track } from '../body/index.ts';
import { numbersOfFrame, numbersOfPoint } from '../body/track.ts';
import type { FrameTimeline } from '../film/index.ts';
import type { Ms, Px } from '../units.ts';

/** Steps in which a body's motion is looked at. */
export const motionStep: Ms = 1000 / 60;

/** A body followed through a film, and how it stands to the camera. */
export interface MovingBody {
  timeline: FrameTimeline;
  track: Track;
  /** Length of the trunk in pixels. */
  torso: Px;
  /** Whether the left hand and foot are in front. */
  leftLeads: boolean;
}

/** What is looked at, the leading side first. Both hips stand for where the body is. */
const parts = ['Wrist', 'Elbow', 'Shoulder', 'Knee', 'Ankle', 'Toe'] as const;
/** How many places are told for each step: of the nose, and of each part on either side. */
export const placesOfMotion = 1 + 2 * parts.length;

/** A body's motion: places in trunks, forward and up being greater, seen as if the left side led. */
export interface Motion {
  /** How many steps there are. */
  steps: number;
  /** Places against the middle of the hips: two numbers a place, `placesOfMotion` of them a step; NaN where nobody is seen. */
  places: Float32Array;
  /** Where the middle of the hips is in the picture: two numbers a step. */
  hips: Float32Array;
}

/** The same motion for every camera and whichever side leads: sizes in trunks, southpaws mirrored, sampled evenly in time. */
export function motionOf({ timeline, track, torso, leftLeads }: MovingBody): Motion {
  const [lead, rear] = leftLeads ? (['left', 'right'] as const) : (['right', 'left'] as const);
  const names: PointName[] = ['nose', ...parts.flatMap((part): PointName[] => [`${lead}${part}`, `${rear}${part}`])];
  const steps = Math.floor((timeline.at(-1) ?? 0) / motionStep) + 1;
  const places = new Float32Array(steps * placesOfMotion * 2).fill(NaN);
  const hips = new Float32Array(steps * 2).fill(NaN);
  const mirror = leftLeads ? 1 : -1;
  let frame = 0;
  for (let step = 0; step < steps; step++) {
    const time = step * motionStep;
    while (frame + 2 < timeline.length && timeline[frame + 1]! <= time) frame++;
    const share = Math.max(0, Math.min(1, (time - timeline[frame]!) / (timeline[frame + 1]! - timeline[frame]! || 1)));
    const at = (name: PointName, axis: 0 | 1): Px => {
      const place = (frame - track.from) * numbersOfFrame + pointAt[name] * numbersOfPoint + axis;
      const now = track.values[place] ?? NaN;
      const next = track.values[place + numbersOfFrame] ?? now;
      return now + share * (next - now);
    };
    for (const axis of [0, 1] as const) {
      const scale = (axis === 0 ? mirror : -1) / torso;
      const middle = (at('leftHip', axis) + at('rightHip', axis)) / 2;
      hips[step * 2 + axis] = middle * scale;
      for (const [place, name] of names.entries())
        places[(step * placesOfMotion + place) * 2 + axis] = (at(name, axis) - middle) * scale;
    }
  }
  return { steps, places, hips };
}

/** When a strike is looked at round an instant: densely near it, farther apart before and after. */
const offsets: readonly Ms[] = [-400, -300, -220, -160, -110, -75, -45, -20, 0, 20, 45, 75, 110, 160, 220, 300, 400].map((time) =>
  Math.round(time / motionStep),
);
/** How many numbers one window has. */
export const numbersOfWindow = offsets.length * (placesOfMotion + 1) * 2;

/** What a body does round a step; undefined where it is not seen all the time. */
export function windowAt({ steps, places, hips }: Motion, step: number): Float32Array | undefined {
  if (step + offsets[0]! < 0 || step + offsets.at(-1)! >= steps) return undefined;
  const window = new Float32Array(numbersOfWindow);
  const [hipX, hipY] = [hips[step * 2]!, hips[step * 2 + 1]!];
  let to = 0;
  for (const offset of offsets) {
    const from = (step + offset) * placesOfMotion * 2;
    for (let number = 0; number < placesOfMotion * 2; number++) window[to++] = places[from + number]!;
    window[to++] = hips[(step + offset) * 2]! - hipX;
    window[to++] = hips[(step + offset) * 2 + 1]! - hipY;
    if (Number.isNaN(window[to - 1])) return undefined;
  }
  return window;
}

/** Whether the body is seen at a time. */
export function isSeenAt({ steps, hips }: Motion, time: Ms): boolean {
  const step = Math.round(time / motionStep);
  return step >= 0 && step < steps && !Number.isNaN(hips[step * 2]);
}
