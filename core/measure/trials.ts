import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */
export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'ex.reset': {
    along: [71.4, 116, 109, 97, 7],
    far: [105, 179, 207, 182, 12],
    'leg along': [1.97, 11.3, 12.7, 76, 4],
    'leg far': [7.94, 15.1, 26.9, 79, 5],
    'leg near': [50.8, 121, 76.4, 36, 5],
    near: [80.2, 57.8, 200, 360, 13],
  },
  'gd.cover': { near: [0.175, 0.0868, 0.028, 250, 9] },
  'gd.elbows': { 'leg along': [19.4, 2.57, 1.55, 76, 4] },
  'gd.height': { along: [-0.13, 0.135, 0.139, 110, 7] },
  'gd.other-hand': {
    along: [0.243, 0.143, 0.217, 89, 7],
    far: [0.147, 0.207, 0.226, 185, 12],
    'leg far': [0.176, 0.227, 0.166, 44, 4],
  },
  'gd.return-line': { near: [0.135, 0.0926, 0.15, 315, 13] },
  'kk.level-leg': { 'leg far': [-2.17, 5.59, 5.08, 55, 5] },
  'kk.return': {
    'leg along': [1.97, 11.3, 12.7, 76, 4],
    'leg far': [7.94, 15.1, 26.9, 79, 5],
    'leg near': [50.8, 121, 76.4, 36, 5],
  },
  'kk.upright': { 'leg far': [-1.16, 3.38, 4.22, 79, 5] },
  'pv.lead-turn': { near: [-32.7, 17.6, 8.91, 49, 6] },
  'pv.rear-turn': { far: [-36.3, 8.36, 5.91, 185, 12] },
  'sm.extension': { near: [-6.05, 11.8, 7.05, 250, 9] },
  'sm.hook-plane': { near: [10.4, 7.27, 3.88, 49, 6] },
  'sm.hook-stop': { along: [-0.018, 0.068, 0.0417, 38, 5] },
  'sm.range': { near: [-0.00994, 0.0887, 0.112, 307, 13] },
  'sm.rotation': { far: [-22.6, 4.62, 5.64, 185, 12], near: [-21.8, 7.36, 4.78, 65, 10] },
  'sm.straight': { along: [0.119, 0.063, 0.0844, 63, 6] },
  'sm.wrist': { along: [1.98, 5.51, 0, 89, 7], near: [8.47, 8.24, 3.87, 307, 13] },
  'st.balance': { far: [-0.073, 0.0144, 0.0262, 185, 12], near: [-0.0712, 0.0224, 0.0252, 331, 13] },
  'st.chin': {
    far: [-9.9, 3.42, 3.11, 185, 12],
    'leg far': [-10.3, 5.62, 5.38, 79, 5],
    'leg near': [-7.58, 4.85, 3, 37, 5],
    near: [-16.5, 5.54, 7, 395, 13],
  },
  'st.knees': {
    far: [5.04, 7.2, 6.18, 185, 12],
    'leg far': [1.66, 10.3, 2.76, 79, 5],
    'leg near': [-0.318, 13.8, 1.47, 37, 5],
    near: [4.49, 5.5, 8.32, 395, 13],
  },
  'st.lean': { far: [-4.25, 1.41, 1.01, 185, 12], near: [-0.481, 1.18, 1.74, 383, 13] },
  'st.width': { along: [0.461, 0.126, 0.0933, 110, 7], 'leg along': [0.441, 0.0724, 0.0124, 76, 4] },
};
