/** A seeded source of numbers: the same seed always gives the same footage. */
export interface Random {
  /** Uniform in [0, 1). */
  next: () => number;
  /** Uniform in [low, high). */
  between: (low: number, high: number) => number;
  /** Normal with the given mean and standard deviation, cut at three deviations so that no body breaks. */
  normal: (mean: number, deviation: number) => number;
  /** A new array in random order. */
  shuffled: <T>(items: readonly T[]) => T[];
}

/** Mulberry32 (public domain, T. Ettinger): 32-bit state, enough for scenes of a few minutes. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  const normal = (mean: number, deviation: number): number => {
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    const value = radius * Math.cos(2 * Math.PI * next());
    return mean + deviation * Math.max(-3, Math.min(3, value));
  };
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    normal,
    shuffled: (items) => {
      const copy = [...items];
      for (let last = copy.length - 1; last > 0; last--) {
        const other = Math.floor(next() * (last + 1));
        [copy[last], copy[other]] = [copy[other]!, copy[last]!];
      }
      return copy;
    },
  };
}
