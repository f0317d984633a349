import type { Ratio } from '../units.ts';

/** Somebody in a picture, as the detector tells: all places in shares of the square that it looked at. */
export interface Detection {
  score: Ratio;
  x: Ratio;
  y: Ratio;
  width: Ratio;
  height: Ratio;
  /** Middle of the hips, and a point as far from it as a circle round the whole body is wide, straight over it where one stands. */
  hips: readonly [Ratio, Ratio];
  rim: readonly [Ratio, Ratio];
}

/** Pixels of a side of what the detector looks at. */
export const detectorSide = 224;
/** Cells of its grids: pixels of a side of a cell, and how many guesses each of them makes. */
const grids: readonly (readonly [stride: number, guesses: number])[] = [
  [8, 2],
  [16, 2],
  [32, 6],
];
/** Middles of the cells, a pair for each guess, in shares. */
const anchors: readonly (readonly [Ratio, Ratio])[] = grids.flatMap(([stride, guesses]) => {
  const cells = Math.ceil(detectorSide / stride);
  return Array.from({ length: cells * cells * guesses }, (_, place): [number, number] => {
    const cell = Math.floor(place / guesses);
    return [((cell % cells) + 0.5) / cells, (Math.floor(cell / cells) + 0.5) / cells];
  });
});
export const guessCount = anchors.length;
const numbersOfGuess = 12;
const leastScore: Ratio = 0.5;
/** Two that overlap by more than this are one. */
const mostOverlap: Ratio = 0.3;

/** How much two boxes have in common, of what they cover together. */
function overlap(a: Detection, b: Detection): Ratio {
  const along = (x: number, w: number, y: number, v: number): number =>
    Math.max(0, Math.min(x + w / 2, y + v / 2) - Math.max(x - w / 2, y - v / 2));
  const both = along(a.x, a.width, b.x, b.width) * along(a.y, a.height, b.y, b.height);
  return both / (a.width * a.height + b.width * b.height - both);
}

/**
 * Reads what the detector answers: for each of its guesses where box and points lie, from the middle of its cell, in pixels, and
 * how sure it is, as a logit. Of guesses at the same person the surest counts.
 * @returns the surest first
 */
export function detectionsOf(places: Float32Array, logits: Float32Array): Detection[] {
  const found: Detection[] = [];
  anchors.forEach(([across, down], guess) => {
    const score = 1 / (1 + Math.exp(-logits[guess]!));
    if (score < leastScore) return;
    const at = (place: number): number => places[guess * numbersOfGuess + place]! / detectorSide;
    found.push({
      score,
      x: across + at(0),
      y: down + at(1),
      width: at(2),
      height: at(3),
      hips: [across + at(4), down + at(5)],
      rim: [across + at(6), down + at(7)],
    });
  });
  found.sort((one, other) => other.score - one.score);
  const apart: Detection[] = [];
  for (const one of found) if (apart.every((other) => overlap(one, other) < mostOverlap)) apart.push(one);
  return apart;
}
