import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */
export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'df.check': { along: [0.0255, 0.0318, 0.0182, 0.831, 3, 21, 5, 'found'] },
  'df.distance': {
    far: [0.0255, 0.00832, 0.0122, 0.893, 3, 65, 6, 'steady'],
    near: [0.00817, 0.0189, 0.0515, 0.246, 2, 132, 6, 'found'],
  },
  'df.level': { along: [-0.077, 0.0788, 0.123, 0.886, 3, 21, 5, 'found'] },
  'df.slip': { along: [0.0621, 0.136, 0.308, 0.882, 3, 26, 6, 'found'] },
  'df.weave': { along: [-0.0305, 0.0721, 0.158, 0.925, 3, 26, 6, 'found'] },
  'ex.move': { along: [7.01, 61.9, 108, 0.326, 3, 299, 14, 'found'] },
  'ex.reset': {
    along: [45.6, 68.1, 67.3, 0.574, 3, 407, 14, 'steady'],
    far: [68.7, 113, 192, 0.411, 1, 273, 18, 'steadier'],
    'leg along': [54.1, 127, 140, 0.38, 3, 145, 9, 'found'],
    'leg far': [20.8, 58.6, 106, 0.23, 3, 163, 14, 'steadiest'],
    'leg near': [80.4, 236, 213, 0.308, 1, 80, 14, 'steady'],
    near: [82, 110, 218, 0.397, 2, 535, 19, 'steadiest'],
  },
  'exposure-time': { along: [98.5, 53, 105, 0.898, 3, 304, 13, 'found'], far: [150, 84, 93.1, 1, 3, 288, 18, 'found'] },
  'gd.elbows': {
    along: [15.2, 11.3, 11.6, 0.485, 2, 503, 18, 'found'],
    'leg along': [12.4, 10.8, 3.79, 0.981, 3, 149, 9, 'steadiest'],
  },
  'gd.height': {
    along: [-0.0885, 0.11, 0.105, 0.832, 3, 503, 18, 'steadier'],
    'leg along': [-0.134, 0.159, 0.0862, 0.887, 3, 149, 9, 'steady'],
  },
  'gd.kick-hand': {
    along: [-0.013, 0.106, 0.0899, 0.933, 3, 21, 5, 'steady'],
    'leg along': [0.233, 0.18, 0.314, 0.65, 3, 149, 9, 'found'],
    'leg near': [0.0853, 0.281, 0.221, 0.844, 3, 84, 14, 'found'],
  },
  'gd.other-hand': {
    along: [0.0974, 0.0994, 0.17, 0.797, 3, 307, 14, 'steadiest'],
    far: [0.00937, 0.118, 0.142, 0.799, 3, 288, 18, 'steadiest'],
    'leg far': [0.0179, 0.0556, 0.0866, 0.795, 3, 167, 14, 'steadiest'],
  },
  'gd.return-line': { near: [-0.00959, 0.0233, 0.0599, 0.332, 1.5, 478, 19, 'steadiest'] },
  'holder-lean': { near: [-3.16, 2.02, 0.591, 0.909, 3, 237, 9, 'found'] },
  'home-miss': {
    along: [0.0474, 0.0578, 0.167, 0.694, 3, 296, 13, 'steady'],
    near: [0.0109, 0.0793, 0.198, 0.569, 3, 478, 19, 'steadier'],
  },
  'kk.chamber': {
    'leg along': [0.17, 0.304, 0.295, 0.539, 2, 33, 7, 'steadiest'],
    'leg near': [0.0175, 0.147, 0.197, 0.373, 2, 25, 5, 'found'],
  },
  'kk.level-leg': {
    'leg far': [-8.47, 2.77, 4.53, 0.787, 3, 137, 14, 'steadier'],
    'leg near': [-31.5, 2.72, 4, 0.722, 3, 59, 14, 'steadiest'],
  },
  'kk.return': {
    'leg along': [54.1, 127, 140, 0.38, 3, 145, 9, 'found'],
    'leg far': [20.8, 58.6, 106, 0.23, 3, 163, 14, 'steadiest'],
    'leg near': [80.4, 236, 213, 0.308, 1, 80, 14, 'steady'],
  },
  'kk.upright': {
    'leg far': [-2.23, 2.73, 3.54, 0.704, 3, 167, 14, 'steadiest'],
    'leg near': [-3.25, 1.27, 4.17, 0.429, 3, 84, 14, 'steady'],
  },
  'ph.head-clear': { near: [0.00835, 0.0463, 0.0804, 0.782, 3, 499, 9, 'found'] },
  'pv.drive': { far: [31.7, 18.8, 37.3, 0.916, 3, 37, 5, 'steadier'] },
  'pv.first-foot': { along: [-19.2, 27.8, 29.5, 0.825, 3, 63, 6, 'steady'], near: [-5.08, 23.9, 45, 0.64, 3, 66, 6, 'found'] },
  'pv.no-cross': {
    along: [-0.0212, 0.0254, 0.0802, 0.719, 2, 63, 6, 'found'],
    near: [-0.0156, 0.0443, 0.0777, 1, 3, 66, 6, 'steady'],
  },
  'pv.recover': { near: [-0.0523, 0.129, 0.128, 0.847, 3, 66, 6, 'found'] },
  'pv.step-size': { near: [-0.0188, 0.0291, 0.0369, 0.852, 3, 54, 6, 'steadier'] },
  'pv.support-turn': {
    'leg far': [-27.3, 12.8, 22, 0.651, 3, 147, 14, 'found'],
    'leg near': [-23.5, 9, 12.8, 0.762, 3, 59, 14, 'steady'],
  },
  'pv.sync': { near: [-1.76, 12.2, 10.6, 0.724, 3, 344, 19, 'steadier'] },
  'sm.extension': { near: [-10.2, 11.7, 6.48, 0.771, 3, 350, 19, 'steady'] },
  'sm.hook-plane': { near: [9.14, 5.34, 3.53, 0.757, 3, 89, 11, 'found'] },
  'sm.range': { near: [-0.0388, 0.0594, 0.0806, 0.836, 3, 470, 19, 'steadier'] },
  'sm.rotation': { far: [-21.2, 5.25, 6.66, 0.784, 3, 288, 18, 'found'], near: [-19.2, 8.35, 9.23, 0.891, 3, 128, 11, 'found'] },
  'sm.straight': { along: [0.00965, 0.0319, 0.0768, 0.648, 3, 196, 13, 'steadiest'] },
  'sm.target': {
    'leg far': [-0.186, 0.0397, 0.115, 0.618, 2, 167, 14, 'steadier'],
    'leg near': [-0.225, 0.0725, 0.146, 0.669, 3, 84, 14, 'steadiest'],
  },
  'sm.telegraph': { near: [0.0213, 0.0368, 0.0755, 0.643, 3, 447, 19, 'steady'] },
  'st.balance': {
    far: [-0.0926, 0.0274, 0.025, 0.539, 3, 288, 18, 'steadiest'],
    near: [-0.0749, 0.0203, 0.025, 0.909, 3, 502, 19, 'steady'],
  },
  'st.chin': {
    far: [-10.5, 3.28, 2.43, 0.728, 3, 288, 18, 'steadiest'],
    'leg far': [-9.44, 3.6, 3.63, 0.803, 3, 167, 14, 'steadiest'],
    'leg near': [-9.25, 6.78, 0, 0.829, 3, 84, 14, 'steadiest'],
    near: [-14, 5.2, 4.58, 0.732, 3, 640, 23, 'steadiest'],
  },
  'st.lean': {
    far: [-4.1, 0.813, 1.37, 0.556, 3, 288, 18, 'steadiest'],
    near: [-0.761, 0.898, 1.75, 0.638, 3, 628, 23, 'found'],
  },
  'st.length': { near: [-0.144, 0.063, 0.0471, 0.914, 3, 66, 6, 'found'] },
  'st.width': {
    along: [0.471, 0.0881, 0.145, 0.62, 3, 503, 18, 'steadiest'],
    'leg along': [0.434, 0.036, 0.0222, 0.94, 3, 149, 9, 'found'],
  },
};
