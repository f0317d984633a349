import { emptyTrack, numbersOfFrame, numbersOfPoint, pointAt, pointNames, type PointName, type Track } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import { shippedCatalogue, techniqueIn, type View } from '../technique/index.ts';
import { followedFilm, measurable, pointMeasures, rawMeasure, type FollowedFilm, type PointMeasureId } from './index.ts';

/** Ahead and up of the hips, in trunks of a hundred pixels, of somebody who stands still with both hands at the chin. */
export const still = (name: PointName): [ahead: number, up: number] => {
  const front = name.startsWith('left') ? 1 : -1;
  const places: [RegExp, number, number][] = [
    [/Shoulder/, 0, 1],
    [/Elbow/, 0.35, 0.6],
    [/Wrist|Knuckle|Thumb/, 0.4, 1.15],
    [/Hip/, 0, 0],
    [/Knee/, front * 0.3, -0.8],
    [/Ankle/, front * 0.45, -1.6],
    [/Heel/, front * 0.45 - 0.1, -1.65],
    [/Toe/, front * 0.45 + 0.4, -1.65],
    [/Mouth/, 0.2, 1.3],
    [/nose/, 0.25, 1.4],
    [/Ear/, 0, 1.42],
  ];
  const [, ahead, up] = places.find(([part]) => part.test(name)) ?? [/./, 0.2, 1.45];
  return [ahead, up];
};
export const rate = 60;
export const [launchFrame, contactFrame, homeFrame] = [60, 75, 95];
export const moments: StrikeMoments = {
  ...{ launchFrame, contactFrame, homeFrame },
  ...{ launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' },
};
export type Moving = (name: PointName, frame: number) => [ahead: number, up: number];

/** @param hips where they are, across @param towards whether the target lies to the right @param seen whether somebody is there */
function trackOf(moving: Moving, hips: number, towards: 1 | -1, seen = (_frame: number): boolean => true): Track {
  const track = emptyTrack(0, 160);
  for (let frame = 0; frame < 160; frame++)
    for (const name of seen(frame) ? pointNames : []) {
      const [ahead, up] = moving(name, frame);
      const place = frame * numbersOfFrame + pointAt[name] * numbersOfPoint;
      track.values.set([hips + towards * 100 * ahead, 300 - 100 * up, 0, 1], place);
    }
  return track;
}

interface Beside {
  /** Whoever holds, three trunks away. */
  holding?: Moving | undefined;
  /** What a second pass has found, in the frames that it has looked at. */
  again?: { moving: Moving; looked: (frame: number) => boolean };
}
/** Somebody orthodox, filmed from the lead side: the target is to the left in the picture. */
export function sceneOf(moving: Moving, view: View = 'lead-side', { holding, again }: Beside = {}): FollowedFilm {
  const towards = view === 'rear-side' ? 1 : -1;
  const track = trackOf(moving, 500, towards);
  const holder = holding && trackOf(holding, 500 + 300 * towards, view === 'rear-side' ? -1 : 1);
  const secondPass = again && trackOf(again.moving, 500, towards, again.looked);
  const timeline = timelineOf(Array.from({ length: 160 }, (_, frame) => (frame * 1000) / rate));
  return followedFilm({ timeline, track, holder, secondPass, picture: { width: 1000, height: 600 }, view, stance: 'orthodox' })!;
}
/** 0 until one frame, 1 from another one on. */
export const between = (frame: number, from: number, to: number): number =>
  Math.max(0, Math.min(1, (frame - from) / (to - from)));
/** What a measure reads of a moving body; undefined where it does not show it. */
export const readOf = (id: PointMeasureId, moving: Moving, technique = 'jab', view: View = 'lead-side'): number | undefined =>
  rawMeasure(measurable(sceneOf(moving, view), moments, techniqueIn(shippedCatalogue, technique))!, pointMeasures[id]!)?.value;
