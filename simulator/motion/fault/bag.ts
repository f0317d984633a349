import { upAndBack } from '../shape.ts';
import { beats } from './hand-sides.ts';
import type { FaultModel } from './model.ts';

/** What goes wrong at the speed bag. */
export const bagFaults: readonly FaultModel[] = [
  {
    id: 'elbow-drops',
    checkpoint: 'gd.fist-elbow-level',
    of: beats,
    around: ({ launch, home }, strength) => [
      {
        change: { 'leadElbow.out': -3.8 * strength, 'rearElbow.out': -3.8 * strength },
        shape: upAndBack(launch - 0.3, launch - 0.1, home, home + 0.2),
      },
    ],
    alsoShows: ['gd.elbows'],
  },
  {
    id: 'uneven-beat',
    uneven: 0.2,
    checkpoint: 'rh.even',
    of: beats,
  },
];
