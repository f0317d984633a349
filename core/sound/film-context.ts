import { median } from 'd3-array';
import { evenly } from '../evenly.ts';
import type { Ratio } from '../units.ts';
import { levelAt, shapeOf } from './hit-features.ts';

/** What is as likely a hit as this, or as little, is taken for known. */
const [surelyHit, surelyOther]: readonly [Ratio, Ratio] = [0.8, 0.08];
/** Of what is known no more are compared with than this, spread over the film. */
const most = 150;
/** One that is alike may be chance: the so manieth that is most alike counts. */
const nearest = 2;
/** Unlike everything: what nothing known is compared with. */
const farthest = 3;

/**
 * What each onset is among all of its film: bags sound like themselves, and so does a voice. Numbers for a second, small network:
 * how likely it was by itself, how unlike it is to what surely was a hit and to what surely was none, how loud beside the hits, and
 * how much of the film is hits.
 * @param rows as `hitFeatures` gives them
 * @param chances how likely each is a hit by itself
 */
export function contextOf(rows: readonly Float32Array[], chances: readonly Ratio[]): Float32Array[] {
  const shapes = rows.map(shapeOf);
  const where = (known: (chance: Ratio) => boolean): number[] =>
    evenly(
      Array.from(chances.keys()).filter((place) => known(chances[place]!)),
      most,
    );
  const [hits, others] = [where((chance) => chance > surelyHit), where((chance) => chance < surelyOther)];
  const usual = median(hits, (place) => levelAt(rows[place]!)) ?? 0;
  const share = hits.length / Math.max(1, rows.length);
  return rows.map((row, place) => {
    const chance = Math.min(0.999, Math.max(0.001, chances[place]!));
    const [likeHits, likeOthers] = [unlike(shapes, place, hits), unlike(shapes, place, others)];
    const loud = hits.length > 0 ? levelAt(row) - usual : 0;
    return Float32Array.of(
      Math.log(chance / (1 - chance)),
      likeHits,
      likeOthers,
      likeHits - likeOthers,
      loud,
      share,
      Math.min(1, hits.length / 20),
    );
  });
}

/** How far from the nearest of those that are known, itself left out. */
function unlike(shapes: readonly Float32Array[], place: number, known: readonly number[]): number {
  const distances: number[] = [];
  for (const other of known) if (other !== place) distances.push(distance(shapes[place]!, shapes[other]!));
  distances.sort((a, b) => a - b);
  return distances[Math.min(nearest, distances.length) - 1] ?? farthest;
}

function distance(one: Float32Array, other: Float32Array): number {
  let sum = 0;
  for (let place = 0; place < one.length; place++) sum += (one[place]! - other[place]!) ** 2;
  return Math.min(farthest, Math.sqrt(sum / one.length));
}
