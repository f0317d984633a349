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

/** So many normally spread numbers are made once; a strike is shaken by a hundred thousand of them. A power of two: no division finds one. */
const made = 8192;
/** Normally spread numbers, two of them at a time (Box and Muller 1958). */
const normals = ((): Float64Array => {
  const random = steadyRandom(1);
  const list = new Float64Array(made);
  for (let at = 0; at < made; at += 2) {
    const length = Math.sqrt(-2 * Math.log(1 - random()));
    const turn = 2 * Math.PI * random();
    list[at] = length * Math.cos(turn);
    list[at + 1] = length * Math.sin(turn);
  }
  return list;
})();

/** A way to go through them: always the same from the same seed. */
export interface NormalRow {
  start: number;
  /** Odd, so that all of them come before one comes again. */
  step: number;
}
/** So many different steps there are: what is asked for then are small whole numbers, which is quick. */
const steps = 105;
/** @param seed not negative */
export const normalRow = (seed: number): NormalRow => ({ start: seed * 1009, step: 1 + 2 * (seed % steps) });
/** The number at a place of a row, which is not negative. */
export const normalAt = ({ start, step }: NormalRow, place: number): number => normals[(start + step * place) & (made - 1)]!;
/** The same as a function. @param seed not negative */
export function steadyNormals(seed: number): (place: number) => number {
  const row = normalRow(seed);
  return (place) => normalAt(row, place);
}
