import { measurable, measureByPoints, pointMeasureOf } from '@wax-fist/core/measure';
import { checklistFor, shippedCatalogue, techniqueIn, usualSchool } from '@wax-fist/core/technique';
import { median } from 'd3-array';
import { films, readAnew, trueMoments } from './followed-films.ts';

/** A whole round: two minutes, tired towards the end. */
const round = 'sunniva-bag-lead-side';
const counted = 5;

/** Prints how long all rows of all strikes of a round take to be measured; the first time, when nothing is compiled yet, is not counted. */
export function benchMeasuring(): void {
  const film = films.find((one) => one.endsWith(round))!;
  const { scene, truth } = readAnew(film)!;
  const { timeline, view } = scene;
  const strikes = truth.strikes.map(({ technique, ...times }) => ({
    technique: techniqueIn(shippedCatalogue, technique),
    rows: checklistFor(shippedCatalogue, technique, { school: usualSchool, view }).filter(({ checkpoint }) =>
      pointMeasureOf(checkpoint.id),
    ),
    moments: trueMoments(timeline, times),
  }));
  let numbers = 0;
  const took = Array.from({ length: counted + 1 }, () => {
    // A film that was measured before knows its steadier tracks.
    const { scene } = readAnew(film)!;
    const begun = performance.now();
    numbers = 0;
    for (const { technique, rows, moments } of strikes) {
      const strike = measurable(scene, moments, technique);
      for (const { checkpoint } of rows) if (strike && measureByPoints(strike, checkpoint.id)?.value !== undefined) numbers++;
    }
    return performance.now() - begun;
  });
  console.log(`\nAll rows of ${strikes.length} strikes, ${numbers} numbers: ${median(took.slice(1))!.toFixed(0)} ms`);
}
