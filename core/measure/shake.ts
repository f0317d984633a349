/** A stream of numbers from 0 to 1 that is the same each time: 32 bits of state, after Marsaglia (2003). */
export function steadyRandom(seed: number): () => number {
  let state = seed | 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** So many normally spread numbers are made once; a strike is shaken by a hundred thousand of them. */
const made = 8191;
let normals: Float64Array | undefined;
/** Normally spread numbers, two of them at a time (Box and Muller 1958). */
function makeNormals(): Float64Array {
  const random = steadyRandom(1);
  const list = new Float64Array(made);
  for (let at = 0; at < made; at += 2) {
    const length = Math.sqrt(-2 * Math.log(1 - random()));
    const turn = 2 * Math.PI * random();
    list[at] = length * Math.cos(turn);
    if (at + 1 < made) list[at + 1] = length * Math.sin(turn);
  }
  return list;
}
/** Steps in which the row is gone through are shorter than this: what is asked for then are small whole numbers, which is quick. */
const longestStep = 211;
/** The number at a place of a row of normally spread numbers, which is always the same row from the same seed; neither is negative. */
export function steadyNormals(seed: number): (place: number) => number {
  const list = (normals ??= makeNormals());
  // The number of them is prime, so that whatever the step, all of them come before one comes again.
  const [start, step] = [(seed * 1009) % made, 1 + (seed % longestStep)];
  return (place) => list[(start + step * place) % made]!;
}
