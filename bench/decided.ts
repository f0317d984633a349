import { emptyTrack, type Track } from '@wax-fist/core/body';
import { decidedIn, farOff, isNear, measurable, pointMeasures, rawDecidedAt, usualTail } from '@wax-fist/core/measure';
import {
  checklistFor,
  shippedCatalogue,
  techniqueIn,
  usualSchool,
  verdictIn,
  type ShippedCheckpointId,
} from '@wax-fist/core/technique';
import { deviation, group } from 'd3-array';
import { Vector3 } from 'three';
import type { JointName } from '../simulator/body/skeleton.ts';
import { cameraAt } from '../simulator/camera.ts';
import { roundTime } from '../simulator/clock.ts';
import type { Truth } from '../simulator/truth/truth.ts';
import { films, followed, followedAs, personOf, trueMoments } from './followed-films.ts';
import { latenessOf, shareWithin } from './lateness.ts';
import { percent, printTable } from './table.ts';
import { putTruePoints } from './true-track.ts';

/** Where the points of a film truly are. */
function trueTrack({ camera, scene, frameTimes, jointNames, metres }: Truth): Track {
  const track = emptyTrack(0, frameTimes.length);
  for (const [frame, time] of frameTimes.entries()) {
    const placeOf = (joint: number): Vector3 =>
      new Vector3(...(metres[frame]!.slice(3 * joint, 3 * joint + 3) as [number, number, number]));
    const joints = Object.fromEntries(jointNames.map((name, joint) => [name, placeOf(joint)])) as Record<JointName, Vector3>;
    const lens = cameraAt(camera, scene, roundTime(camera, time / 1000));
    putTruePoints(track, frame, joints, [lens, camera]);
  }
  return track;
}

/** The instant that decides a row of one strike: by how many milliseconds it is found too late. */
interface Late {
  checkpoint: ShippedCheckpointId;
  person: string;
  late: number;
}

function* lateIn(film: string): Generator<Late> {
  const { scene, truth } = followed(film) ?? {};
  const truly = truth && followedAs(truth, trueTrack(truth));
  if (!scene || !truly) return;
  for (const { technique: id, parts, measures, ...times } of truth.strikes) {
    if (parts || !measures) continue;
    const technique = techniqueIn(shippedCatalogue, id);
    const [found, known] = [scene, truly].map((one) => measurable(one, trueMoments(scene.timeline, times), technique));
    if (!found || !known) continue;
    for (const { checkpoint, band } of checklistFor(shippedCatalogue, id, { school: usualSchool, view: scene.view })) {
      const row = checkpoint.id as ShippedCheckpointId;
      const [decided, measure, value] = [decidedIn[row], pointMeasures[row], measures[row]];
      if (!decided || !measure?.views.includes(scene.view) || !isNear(found.sight, measure) || value === undefined) continue;
      if (decided.onlyAmiss && band && verdictIn(band, value) === 'clean') continue;
      const [told, truth_] = [rawDecidedAt(found, row), rawDecidedAt(known, row)];
      if (told !== undefined && truth_ !== undefined) yield { checkpoint: row, person: personOf(film), late: told - truth_ };
    }
  }
}

/** How well the instant that decides a row is found, each person by what all others are late. */
export interface DecidedFigure {
  checkpoint: ShippedCheckpointId;
  strikes: number;
  people: number;
  /** Median of everybody's, in milliseconds: what `decidedIn` holds. */
  late: number;
  spread: number;
  claimed: number;
  within68: number;
  within95: number;
}
export function figuresOfDecided(): DecidedFigure[] {
  const all = films.flatMap((film) => [...lateIn(film)]);
  return [...group(all, ({ checkpoint }) => checkpoint)].map(([checkpoint, list]) => {
    const { people, late, errors } = latenessOf(list);
    const claimed = decidedIn[checkpoint]!.doubt;
    return {
      ...{ checkpoint, strikes: list.length, people, late, spread: deviation(errors)!, claimed },
      ...{ within68: shareWithin(errors, claimed), within95: shareWithin(errors, farOff(usualTail) * claimed) },
    };
  });
}

export function benchDecided(): void {
  console.log('\nThe instant that decides a row, each person by what the others are late (milliseconds)\n');
  printTable(
    ['row', 'strikes', 'people', 'late', 'spread', 'claimed', 'in 68%', 'in 95%'],
    figuresOfDecided().map((one) => [
      ...[one.checkpoint, one.strikes, one.people, one.late.toFixed(0), one.spread.toFixed(0), one.claimed],
      ...[percent(one.within68), percent(one.within95)],
    ]),
  );
}
