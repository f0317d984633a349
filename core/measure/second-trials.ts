import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of measures by the points of a second pass, where it tells more than the first. Written by `bin/bench measures --write`. */
export const secondTrials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'exposure-time': { far: [321, 80.1, 79, 58, 4, 'found'] },
  'gd.return-line': { near: [-0.023, 0.0333, 0.0506, 89, 5, 'steadier'] },
  'home-miss': { near: [0.0247, 0.121, 0.158, 89, 5, 'found'] },
  'kk.upright': { 'leg far': [-3.62, 1.25, 3.29, 61, 6, 'found'] },
  'st.chin': { far: [-2.61, 1.75, 2.71, 58, 4, 'steadiest'], near: [-4.66, 2.96, 1.88, 89, 5, 'steadiest'] },
};
