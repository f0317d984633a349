import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */
export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'ex.move': { along: [3.86, 94.1, 169, 207, 11, 'steadier'] },
  'ex.reset': {
    along: [32.7, 80.7, 38.7, 207, 11, 'steady'],
    far: [91.3, 134, 195, 241, 12, 'steadier'],
    'leg along': [48.8, 109, 116, 112, 6, 'steadier'],
    'leg far': [20.1, 61.9, 69.7, 140, 13, 'steadiest'],
    'leg near': [87.7, 177, 148, 69, 13, 'found'],
    near: [109, 103, 226, 494, 13, 'steadiest'],
  },
  'gd.height': { along: [-0.0887, 0.123, 0.13, 288, 15, 'found'], 'leg along': [-0.152, 0.23, 0.1, 116, 6, 'found'] },
  'gd.kick-hand': { 'leg along': [0.0846, 0.14, 0.318, 116, 6, 'steadier'], 'leg near': [0.074, 0.292, 0.216, 74, 13, 'found'] },
  'gd.other-hand': {
    along: [0.102, 0.0902, 0.133, 207, 11, 'steadiest'],
    far: [0.0389, 0.129, 0.157, 253, 12, 'steadier'],
    'leg far': [0.0811, 0.067, 0.106, 109, 12, 'steady'],
  },
  'gd.return-line': { near: [-0.0142, 0.0182, 0.0629, 435, 13, 'steadiest'] },
  'kk.level-leg': { 'leg far': [-8.81, 2.82, 3.96, 120, 13, 'steadiest'], 'leg near': [-24, 2.81, 4.09, 54, 13, 'steadier'] },
  'kk.return': {
    'leg along': [48.8, 109, 116, 112, 6, 'steadier'],
    'leg far': [20.1, 61.9, 69.7, 140, 13, 'steadiest'],
    'leg near': [87.7, 177, 148, 69, 13, 'found'],
  },
  'kk.upright': { 'leg far': [-2.7, 3.14, 3.45, 144, 13, 'steadier'], 'leg near': [-3.23, 1.35, 3.75, 74, 13, 'steady'] },
  'ph.head-clear': { near: [0.0111, 0.0589, 0.0925, 355, 9, 'found'] },
  'pv.first-foot': { along: [-31.9, 13.1, 31.7, 51, 5, 'steadier'], near: [3.08, 26.3, 26.9, 66, 6, 'steady'] },
  'pv.no-cross': { along: [-0.0144, 0.0141, 0.0772, 51, 5, 'found'], near: [-0.0148, 0.0441, 0.0781, 66, 6, 'steady'] },
  'pv.recover': { near: [-0.0541, 0.133, 0.128, 66, 6, 'found'] },
  'pv.step-size': { near: [-0.0226, 0.0315, 0.0379, 54, 6, 'found'] },
  'pv.support-turn': { 'leg far': [-27.6, 13.5, 22.9, 128, 13, 'found'], 'leg near': [-24.1, 8.76, 13.1, 54, 13, 'steady'] },
  'pv.sync': { near: [-4.76, 13.7, 9.04, 311, 13, 'steadier'] },
  'sm.extension': { near: [-10.8, 14.1, 6.38, 316, 13, 'steady'] },
  'sm.hook-plane': { along: [9.75, 5.7, 6.74, 62, 9, 'found'], near: [8.79, 5.62, 3.44, 83, 10, 'found'] },
  'sm.range': { near: [-0.0963, 0.0662, 0.0622, 427, 13, 'steadiest'] },
  'sm.rotation': { far: [-21.9, 4.78, 6.68, 253, 12, 'found'], near: [-20.4, 7.23, 8.9, 119, 10, 'found'] },
  'sm.straight': { along: [0.087, 0.0427, 0.114, 145, 10, 'steady'] },
  'sm.target': {
    'leg along': [-0.337, 0.204, 0.416, 116, 6, 'steadiest'],
    'leg far': [-0.167, 0.0438, 0.113, 144, 13, 'steady'],
    'leg near': [-0.164, 0.0726, 0.149, 74, 13, 'steadier'],
  },
  'sm.telegraph': { near: [0.0224, 0.0222, 0.066, 407, 13, 'steadier'] },
  'st.balance': { far: [-0.0751, 0.0134, 0.0287, 247, 12, 'found'], near: [-0.0728, 0.02, 0.0274, 451, 13, 'found'] },
  'st.chin': {
    far: [-9.9, 2.66, 2.6, 253, 12, 'steadiest'],
    'leg far': [-8.33, 3.86, 3.45, 144, 13, 'steady'],
    'leg near': [-8.04, 7.41, 0, 74, 13, 'steadier'],
    near: [-13.4, 5.33, 4.57, 597, 17, 'steadiest'],
  },
  'st.lean': { far: [-5, 1.13, 1.35, 253, 12, 'found'], near: [-0.771, 0.97, 1.76, 585, 17, 'found'] },
  'st.length': { near: [-0.144, 0.0632, 0.0471, 66, 6, 'found'] },
  'st.width': { along: [0.478, 0.107, 0.126, 288, 15, 'steadiest'], 'leg along': [0.434, 0.0473, 0.0238, 116, 6, 'found'] },
};
