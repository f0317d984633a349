/** Whether a value is no smaller than the one before it and larger than the one after. */
export const isPeak = (values: ArrayLike<number>, at: number): boolean =>
  values[at]! >= (values[at - 1] ?? 0) && values[at]! > (values[at + 1] ?? 0);

/**
 * Places of the peaks that stand alone: where two are closer than `gap` places, the higher one counts. In their order.
 * @param least what is lower is no peak
 */
export function peaksApart(values: Float32Array, least: number, gap: number): number[] {
  const order = Array.from(values.keys())
    .filter((place) => values[place]! >= least && isPeak(values, place))
    .sort((a, b) => values[b]! - values[a]!);
  const taken = new Uint8Array(values.length);
  const peaks: number[] = [];
  for (const place of order) {
    if (taken[place]) continue;
    peaks.push(place);
    taken.fill(1, Math.max(0, place - gap + 1), place + gap);
  }
  return peaks.sort((a, b) => a - b);
}
