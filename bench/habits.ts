import { bodySizeOf, emptyTrack, numbersOfFrame, numbersOfPoint, pointNames, type Track } from '@wax-fist/core/body';
import { timelineOf, type FrameTimeline } from '@wax-fist/core/film';
import { movesBefore, movingParts, type MovingPart, type TimedStrike } from '@wax-fist/core/habits';
import { motionOf } from '@wax-fist/core/strikes';
import { handOf, shippedCatalogue, techniqueIn, type Stance } from '@wax-fist/core/technique';
import { jointAt } from '../simulator/body/model-points.ts';
import type { JointName } from '../simulator/body/skeleton.ts';
import { cameraAt, projected } from '../simulator/camera.ts';
import { filmedSeconds, roundTime } from '../simulator/clock.ts';
import { plainLook } from '../simulator/look.ts';
import { perform } from '../simulator/motion/performance.ts';
import { seededRandom } from '../simulator/random.ts';
import type { Scene, SceneCamera } from '../simulator/scene.ts';
import { truthOf, type Truth } from '../simulator/truth/truth.ts';
import { films, followed } from './followed-films.ts';
import type { Line } from './table.ts';

/** A launch as it truly was is off by what the truth is rounded by, and a frame. */
const doubt = 20;
const timed = ({ strikes }: Pick<Truth, 'strikes'>): TimedStrike[] =>
  strikes.map(({ technique, launch, home }, place) => ({
    ...{ id: String(place), technique, launch, home, doubt },
    side: techniqueIn(shippedCatalogue, technique).side,
  }));
const movedIn = (timeline: FrameTimeline, track: Track, stance: Stance, strikes: readonly TimedStrike[]) => {
  const size = bodySizeOf(track);
  const leftLeads = handOf('lead', stance) === 'left';
  return new Map(
    (size ? movesBefore(motionOf({ timeline, track, torso: size.torso, leftLeads }), strikes) : []).map(({ id, leads }) => [
      id,
      leads,
    ]),
  );
};

/** The true places of a film as if a model had found them. */
function trueTrack({ pixels, jointNames, frameTimes }: Truth): Track {
  const track = emptyTrack(0, frameTimes.length);
  for (const [point, name] of pointNames.entries()) {
    const joint = jointNames.indexOf(name as JointName);
    if (joint < 0) continue;
    pixels.forEach((frame, place) =>
      track.values.set([frame[2 * joint]!, frame[2 * joint + 1]!, 0, 1], place * numbersOfFrame + point * numbersOfPoint),
    );
  }
  return track;
}

/** What the model's points say moves before strikes of rendered films, against what the true points say. */
function onFilms(): Line[] {
  const counts = new Map<MovingPart, { both: number; missed: number; madeUp: number; of: number }>(
    movingParts.map((part) => [part, { both: 0, missed: 0, madeUp: 0, of: 0 }]),
  );
  for (const file of films) {
    const film = followed(file);
    if (!film) continue;
    const { scene, truth } = film;
    const strikes = timed(truth);
    const told = movedIn(scene.timeline, scene.track, scene.stance, strikes);
    for (const [id, leads] of movedIn(scene.timeline, trueTrack(truth), scene.stance, strikes)) {
      const found = told.get(id);
      if (!found) continue;
      for (const part of movingParts) {
        const count = counts.get(part)!;
        const [is, said] = [leads[part] !== undefined, found[part] !== undefined];
        count.of++;
        if (is && said) count.both++;
        else if (is) count.missed++;
        else if (said) count.madeUp++;
      }
    }
  }
  return [...counts].map(([part, { both, missed, madeUp, of }]) => ({
    what: `habits, the ${part} moves before, of rendered films`,
    measured: `${both} of ${both + missed} found, ${madeUp} of ${of - both - missed} made up`,
    target: 'made up ≤ 5%',
    reached: madeUp <= 0.05 * (of - both - missed),
  }));
}

/** Somebody whom nobody has filmed, and who draws the hand back before so many of their jabs. */
const sceneOf = (seed: number, share: number): Scene => ({
  ...{ name: `nobody${seed}`, seed, stance: 'orthodox', stature: 1.7, look: plainLook, tired: 0.2, cameras: [], noise: -42 },
  work: [
    { strikes: ['jab'], times: 30 },
    { strikes: ['cross'], times: 30 },
  ],
  faults: share > 0 ? [{ fault: 'telegraph', strike: 'jab', share, strength: [0.5, 1] }] : [],
});
const camera = (view: SceneCamera['view']): SceneCamera => ({
  ...{ view, distance: 3.4, height: 1.05, frameRate: 30, pictureWidth: 1280, pictureHeight: 720, shake: 0 },
});

/** Whether a hand that draws back is seen, on true points that are put off by so many pixels. */
function onUnfilmed(): Line[] {
  return [2, 6].map((off): Line => {
    const counts = { found: 0, of: 0, madeUp: 0, others: 0 };
    for (const share of [0, 0.3, 0.7])
      for (const seed of [1, 2])
        for (const view of ['lead-side', 'front'] as const) {
          const scene = sceneOf(seed, share);
          const seen = camera(view);
          const performance = perform(scene);
          const random = seededRandom(seed * 31 + off);
          const moments = Array.from(
            { length: Math.floor(filmedSeconds(seen, performance.seconds) * 30) },
            (_, frame) => frame / 30,
          );
          const track = emptyTrack(0, moments.length);
          for (const [frame, moment] of moments.entries()) {
            const at = roundTime(seen, moment);
            const [{ joints }, lens] = [performance.bodyAt(at), cameraAt(seen, scene, at)];
            for (const [point, name] of pointNames.entries()) {
              const [x, y] = projected(jointAt(joints, name), lens, seen).map((place) => place + random.normal(0, off)) as [
                number,
                number,
              ];
              track.values.set([x, y, 0, 1], frame * numbersOfFrame + point * numbersOfPoint);
            }
          }
          const truth = truthOf(scene, seen, performance, []);
          const told = movedIn(timelineOf(moments.map((moment) => moment * 1000)), track, 'orthodox', timed(truth));
          for (const [place, { technique, faults }] of truth.strikes.entries()) {
            const leads = told.get(String(place));
            if (!leads || technique !== 'jab') continue;
            const [drawn, said] = [faults.some(({ id }) => id === 'telegraph'), leads.hand !== undefined];
            counts[drawn ? 'of' : 'others']++;
            if (said) counts[drawn ? 'found' : 'madeUp']++;
          }
        }
    return {
      what: `habits, hand drawn back, points off by ${off} px`,
      measured: `${counts.found} of ${counts.of} found, ${counts.madeUp} of ${counts.others} made up`,
      target: 'made up ≤ 5%',
      reached: counts.madeUp <= 0.05 * counts.others,
    };
  });
}

/** What moves before strikes, against truth. Nothing of it was tuned on any film: each is held against itself. */
export const benchHabits = (): Line[] => [...onFilms(), ...onUnfilmed()];
