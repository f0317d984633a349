/** A hanging bag as a damped pendulum, answered in closed form: metres that its face has moved away from the trainee. */
export interface BagHit {
  seconds: number;
  /** Metres of first swing. */
  push: number;
}

/** Swing of 2.1 m of chain and bag: about 2.9 s; the damping is a coach's hand on the bag now and then. */
const swing = (2 * Math.PI) / 2.9;
const damping = 1.1;
/** Distance of the bag's face from the middle of the stance at rest, at stature `referenceStature`. */
export const bagFace = 1.04;
export const bagRadius = 0.17;

export function bagTravel(hits: readonly BagHit[], seconds: number): number {
  let travel = 0;
  for (const hit of hits) {
    const since = seconds - hit.seconds;
    if (since > 0) travel += hit.push * Math.exp(-damping * since) * Math.sin(swing * since);
  }
  return travel;
}
