import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of measures by the points of a second pass, where it tells more than the first. Written by `bin/bench measures --write`. */
export const secondTrials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'gd.cover': { near: [0.184, 0.0686, 0.00506, 78, 5, 'steady'] },
  'gd.return-line': { near: [-0.0207, 0.033, 0.05, 89, 5, 'steadier'] },
  'kk.upright': { 'leg far': [-3.62, 1.22, 3.29, 61, 6, 'found'], 'leg near': [-1.9, 2.19, 1.56, 20, 6, 'found'] },
  'pv.knee-elbow': { far: [-20.4, 19, 0, 58, 4, 'steadiest'] },
  'st.chin': { 'leg far': [3.28, 2.04, 0, 61, 6, 'steadier'], near: [-4.74, 3.03, 1.81, 89, 5, 'steadiest'] },
  'st.knees': { 'leg near': [0.856, 4.94, 2.18, 20, 6, 'found'] },
};
