import type { CheckpointId } from '../technique/index.ts';
import type { KeptTrial, Seen } from './seen.ts';

/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */
export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = {
  'gd.cover': { near: [0.175, 0.0867, 0.0284, 250, 9] },
  'gd.height': { along: [-0.13, 0.136, 0.14, 110, 7] },
  'gd.other-hand': { along: [0.244, 0.142, 0.216, 89, 7], far: [0.0496, 0.157, 0.224, 169, 8] },
  'gd.return-line': { near: [0.135, 0.107, 0.152, 299, 9] },
  'sm.extension': { near: [-6.03, 12.2, 7.09, 250, 9] },
  'sm.hook-plane': { near: [10.4, 7.15, 3.99, 49, 6] },
  'sm.range': { near: [-0.0274, 0.107, 0.113, 299, 9] },
  'st.balance': { far: [-0.0702, 0.0175, 0.0268, 169, 8], near: [-0.0762, 0.0247, 0.0177, 291, 9] },
  'st.chin': { far: [-11, 3.38, 3.22, 204, 9], near: [-16.2, 5.59, 3.91, 304, 10] },
  'st.knees': { near: [2.06, 7.65, 8.16, 304, 10] },
  'st.lean': { far: [-4.67, 1.29, 2.16, 204, 9], near: [-0.325, 1.06, 1.2, 304, 10] },
  'st.width': { along: [0.461, 0.126, 0.094, 110, 7] },
};
