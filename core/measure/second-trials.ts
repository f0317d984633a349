import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of measures by the points of a second pass, where it tells more than the first. Written by `bin/bench measures --write`. */
export const secondTrials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'kk.upright': { 'leg far': [-4, 1.51, 3.23, 0.445, 3, 61, 6, 'steady'] },
  'pv.support-turn': { 'leg far': [-21.6, 10.3, 4.13, 0.868, 3, 61, 6, 'steadier'] },
  'st.chin': { near: [-4.62, 2.96, 2.05, 0.639, 3, 89, 5, 'steadiest'] },
};
