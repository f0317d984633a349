import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */
export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'df.distance': {
    far: [0.0255, 0.00833, 0.0122, 0.901, 65, 6, 'steady'],
    near: [0.00817, 0.0189, 0.0515, 0.324, 132, 6, 'found'],
  },
  'ex.move': { along: [3.02, 80.6, 154, 1, 243, 13, 'steadier'] },
  'ex.reset': {
    along: [30.7, 73.8, 43.7, 0.523, 243, 13, 'steady'],
    far: [67.2, 117, 191, 0.659, 266, 17, 'steadier'],
    'leg along': [65.5, 132, 139, 0.563, 120, 8, 'found'],
    'leg far': [23.9, 60, 110, 0.24, 148, 13, 'steadiest'],
    'leg near': [86.3, 174, 149, 0.455, 69, 13, 'found'],
    near: [112, 96.2, 248, 0.491, 505, 18, 'steady'],
  },
  'exposure-time': { along: [91.9, 59.8, 95.4, 0.877, 240, 12, 'found'], far: [143, 81.1, 93.4, 1, 280, 17, 'found'] },
  'gd.elbows': { 'leg along': [11.6, 11.6, 4.11, 0.957, 124, 8, 'steadier'] },
  'gd.height': {
    along: [-0.0853, 0.116, 0.117, 0.793, 324, 17, 'steadier'],
    'leg along': [-0.114, 0.181, 0.0909, 0.826, 124, 8, 'steadiest'],
  },
  'gd.kick-hand': {
    'leg along': [0.152, 0.184, 0.315, 0.662, 124, 8, 'steady'],
    'leg near': [0.074, 0.292, 0.216, 0.869, 74, 13, 'found'],
  },
  'gd.other-hand': {
    along: [0.0824, 0.0997, 0.141, 0.845, 243, 13, 'steadiest'],
    far: [-0.00218, 0.108, 0.142, 0.75, 280, 17, 'steadiest'],
    'leg far': [0.013, 0.0533, 0.0861, 0.762, 152, 13, 'steadiest'],
  },
  'gd.return-line': { near: [-0.00934, 0.0243, 0.0607, 0.524, 462, 18, 'steadiest'] },
  'holder-lean': { near: [-3.16, 2.02, 0.591, 0.914, 237, 9, 'found'] },
  'home-miss': {
    along: [0.0473, 0.0655, 0.175, 0.678, 240, 12, 'steady'],
    near: [0.00999, 0.0818, 0.2, 0.565, 462, 18, 'steadier'],
  },
  'kk.level-leg': {
    'leg along': [-42.3, 9.36, 12.6, 0.868, 72, 8, 'steadiest'],
    'leg far': [-8.46, 2.91, 4.58, 0.786, 128, 13, 'steadier'],
    'leg near': [-31.8, 2.72, 3.87, 0.715, 54, 13, 'steadiest'],
  },
  'kk.return': {
    'leg along': [65.5, 132, 139, 0.563, 120, 8, 'found'],
    'leg far': [23.9, 60, 110, 0.24, 148, 13, 'steadiest'],
    'leg near': [86.3, 174, 149, 0.455, 69, 13, 'found'],
  },
  'kk.upright': {
    'leg far': [-2.28, 2.87, 3.49, 0.71, 152, 13, 'steadiest'],
    'leg near': [-3.23, 1.33, 3.73, 0.451, 74, 13, 'steady'],
  },
  'ph.head-clear': { near: [0.00835, 0.0463, 0.0804, 0.792, 499, 9, 'found'] },
  'pv.drive': { far: [29.5, 50.7, 42.9, 0.79, 37, 5, 'found'] },
  'pv.first-foot': { along: [-24.1, 27, 32.4, 0.746, 51, 5, 'steady'], near: [-5.08, 23.9, 45, 0.661, 66, 6, 'found'] },
  'pv.no-cross': { along: [-0.0146, 0.0141, 0.0773, 0.69, 51, 5, 'found'], near: [-0.0156, 0.0443, 0.0777, 1, 66, 6, 'steady'] },
  'pv.recover': { near: [-0.0523, 0.129, 0.128, 0.857, 66, 6, 'found'] },
  'pv.step-size': { near: [-0.0188, 0.0291, 0.0369, 0.862, 54, 6, 'steadier'] },
  'pv.support-turn': {
    'leg far': [-27.6, 13.4, 22.1, 0.632, 136, 13, 'found'],
    'leg near': [-24.3, 8.76, 13.4, 0.733, 54, 13, 'steady'],
  },
  'pv.sync': { near: [-1.83, 12.6, 10.7, 0.761, 337, 18, 'steadier'] },
  'sm.extension': { near: [-10.8, 11.7, 6.22, 0.838, 343, 18, 'steady'] },
  'sm.hook-plane': { along: [9.74, 5.67, 6.84, 0.82, 62, 9, 'found'], near: [8.8, 5.55, 3.57, 0.809, 83, 10, 'found'] },
  'sm.range': { near: [-0.0361, 0.06, 0.0798, 0.831, 454, 18, 'steadier'] },
  'sm.rotation': { far: [-21.4, 5.41, 6.52, 0.792, 280, 17, 'found'], near: [-20.4, 7.22, 8.91, 0.876, 119, 10, 'found'] },
  'sm.straight': { along: [0.0104, 0.0336, 0.0778, 0.641, 181, 12, 'steadiest'] },
  'sm.target': {
    'leg far': [-0.164, 0.0415, 0.112, 0.727, 152, 13, 'steady'],
    'leg near': [-0.227, 0.0757, 0.148, 0.592, 74, 13, 'steadiest'],
  },
  'sm.telegraph': { near: [0.0184, 0.0356, 0.0756, 0.621, 434, 18, 'steady'] },
  'st.balance': {
    far: [-0.0917, 0.0283, 0.0247, 0.538, 280, 17, 'steadiest'],
    near: [-0.0747, 0.021, 0.0246, 0.908, 486, 18, 'steady'],
  },
  'st.chin': {
    far: [-10.5, 3.67, 2.98, 0.725, 280, 17, 'steadier'],
    'leg far': [-8.84, 3.8, 3.27, 0.853, 152, 13, 'steadier'],
    'leg near': [-7.69, 7.57, 0, 0.88, 74, 13, 'steady'],
    near: [-13.9, 5.32, 4.58, 0.744, 624, 22, 'steadiest'],
  },
  'st.lean': { far: [-4.09, 0.815, 1.31, 0.612, 280, 17, 'steadiest'], near: [-0.745, 0.918, 1.74, 0.636, 612, 22, 'found'] },
  'st.length': { near: [-0.144, 0.063, 0.0471, 0.92, 66, 6, 'found'] },
  'st.width': {
    along: [0.476, 0.0993, 0.12, 0.765, 324, 17, 'steadiest'],
    'leg along': [0.437, 0.0372, 0.0235, 0.9, 124, 8, 'found'],
  },
};
