import { emptyTrack, numbersOfFrame, numbersOfPoint, pointAt, pointNames, type Track } from '@wax-fist/core/body';
import { sixCall } from '@wax-fist/core/calls';
import { timelineOf } from '@wax-fist/core/film';
import { shippedCatalogue, usualSchool, type View } from '@wax-fist/core/technique';
import type { BenchData } from '../features/review/use-bench-data.ts';

let films = 0;
/** Ten seconds at 60 frames a second. */
export const timeline = timelineOf(Array.from({ length: 600 }, (_, frame) => (frame * 1000) / 60));

/** What a bench works with: another film each time. */
export const deskData = (view: View = 'lead-side', change: Partial<BenchData> = {}): BenchData =>
  ({
    film: { id: `film-${++films}`, view, steps: [] },
    session: { judgedBy: { ...usualSchool, bookId: '' }, checklistVersion: 1, trainee: { stature: null }, holder: null },
    playable: { timeline },
    bodies: {},
    corrections: [],
    answers: [],
    catalogue: shippedCatalogue,
    book: sixCall,
    frameRate: 60,
    matchUp: undefined,
    ...change,
  }) as unknown as BenchData;

/** Somebody who stands upright and still, the whole ten seconds. */
export function standing(): Track {
  const track = emptyTrack(0, 600);
  const heights: [RegExp, number][] = [
    [/Shoulder/, 200],
    [/Hip/, 300],
    [/Knee/, 385],
    [/Ankle|Heel|Toe/, 465],
    [/Elbow/, 250],
  ];
  for (let frame = 0; frame < 600; frame++)
    for (const name of pointNames) {
      const [, y] = heights.find(([part]) => part.test(name)) ?? [/./, 170];
      const x = 400 + (name.startsWith('left') ? -30 : 30);
      track.values.set([x, y, 0, 1], frame * numbersOfFrame + pointAt[name] * numbersOfPoint);
    }
  return track;
}

/** Waits until something holds; says so when it never does. */
export const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
  for (let turn = 0; !(await holds()); turn++) {
    if (turn > 400) throw new Error('It never came to hold.');
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
};
