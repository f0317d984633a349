import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of measures by the points of a second pass, where it tells more than the first. Written by `bin/bench measures --write`. */
export const secondTrials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'exposure-time': { far: [320, 76.1, 79, 58, 4, 'found'] },
  'gd.return-line': { near: [-0.0229, 0.0337, 0.0502, 89, 5, 'steadier'] },
  'home-miss': { near: [0.0221, 0.119, 0.156, 89, 5, 'found'] },
  'kk.upright': { 'leg far': [-3.62, 1.24, 3.31, 61, 6, 'found'] },
  'pv.support-turn': { 'leg far': [-21.6, 10.3, 4.13, 61, 6, 'steadier'] },
  'st.chin': { far: [-2.64, 1.7, 2.68, 58, 4, 'steadiest'], near: [-4.62, 2.96, 2.05, 89, 5, 'steadiest'] },
};
