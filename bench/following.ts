import { emptyTrack, joinedTrack, pointNames, unpackTrack, type Pin, type Track } from '@wax-fist/core/body';
import { measurable, measureByPoints, pinnedFilm, secondPassTellsOf, type FollowedFilm } from '@wax-fist/core/measure';
import { shippedCatalogue, techniqueIn, wholeChecklist } from '@wax-fist/core/technique';
import type { Ms, Ratio } from '@wax-fist/core/units';
import { quantile } from 'd3-array';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { filmToWatch } from '../cli/film-to-watch.ts';
import { filmPath } from '../server/demo/footage.ts';
import { watchFilm } from '../server/pose/film-points.ts';
import { secondPassOfFilm } from '../server/pose/second-pass.ts';
import { ffmpeg } from '../server/test/films.ts';
import type { Truth } from '../simulator/truth/truth.ts';
import { films, followed, trueMoments } from './followed-films.ts';
import type { Line } from './table.ts';

/** A part of a whole round, thirty frames a second, a strike a second. Milliseconds. */
const [round, from, length]: readonly [string, Ms, Ms] = ['sunniva-bag-lead-side', 20_000, 20_000];
const pins = 60;

const line = (what: string, measured: number, unit: string, most: number): Line => ({
  ...{ what, measured: `${measured.toFixed(1)} ${unit}`, target: `≤ ${most} ${unit}` },
  reached: measured <= most,
});

/** How long bodies take to be followed, and a strike to be measured anew when a point of it is moved. */
export async function benchFollowing(): Promise<Line[]> {
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-bench-'));
  try {
    const path = join(folder, 'round.mp4');
    await ffmpeg('-ss', String(from / 1000), '-i', filmPath(round), '-t', String(length / 1000), path);
    const film = await filmToWatch(path, 'full');
    const pieces: Track[] = [];
    const begun = performance.now();
    let first: Ms | undefined;
    await watchFilm(film, {
      onPiece(at, _frames, packed) {
        first ??= performance.now() - begun;
        return Promise.resolve(void pieces.push(unpackTrack(at, packed)));
      },
    });
    const ofLength = (since: Ms): Ratio => (performance.now() - since) / length;
    const full = ofLength(begun);
    const { scene, truth } = followed(films.find((one) => one.endsWith(round))!)!;
    // As the step of the import: those of which a second pass tells more from where this is filmed.
    const strikes = truth.strikes
      .filter(({ launch, home }) => launch > from + 500 && home < from + length - 700)
      .filter(({ technique }) => secondPassTellsOf(scene, techniqueIn(shippedCatalogue, technique)))
      .map(({ launch, contact, home }) =>
        trueMoments(film.timeline, { launch: launch - from, contact: contact - from, home: home - from }),
      );
    const again = performance.now();
    await secondPassOfFilm(film, joinedTrack([emptyTrack(0, film.timeline.length), ...pieces]), strikes);
    return [
      line('a round followed with “full”, of its length', full, '×', 2),
      line(
        `the ${strikes.length} strikes of it that this tells more of once more with “heavy”, of its length`,
        ofLength(again),
        '×',
        4,
      ),
      line('first points, where most lands, after the review copy', first! / 1000, 's', 30),
      line('a pin moved, all rows of its strike, p95', movedPin(scene, truth), 'ms', 50),
    ];
  } finally {
    await rm(folder, { recursive: true });
  }
}

/**
 * The slowest twentieth of pins that are moved one after the other, from the pin to all rows of the strike, each of which was measured
 * as it was found before: the page has shown them by then.
 */
function movedPin(scene: FollowedFilm, truth: Truth): Ms {
  const took = truth.strikes.slice(0, pins).map(({ technique: id, ...times }, place) => {
    const technique = techniqueIn(shippedCatalogue, id);
    const moments = trueMoments(scene.timeline, times);
    const measureWith = (pinned: readonly Pin[]): Ms => {
      const begun = performance.now();
      const strike = measurable(pinnedFilm(scene, pinned), moments, technique);
      for (const { checkpoint } of wholeChecklist(shippedCatalogue, id)) if (strike) measureByPoints(strike, checkpoint.id);
      return performance.now() - begun;
    };
    measureWith([]);
    const here = { frame: moments.contactFrame, x: scene.picture.width / 2, y: scene.picture.height / 2 };
    return measureWith([{ ...here, point: pointNames[place % pointNames.length]!, said: 'here' }]);
  });
  return quantile(took, 0.95)!;
}
