import type { ShippedCheckpointId } from '@wax-fist/core/technique';

/** What a holder does wrong, with the checkpoint that a coach would mark. */
export const holderFaults = {
  'pads-wide': 'ph.narrow',
  'head-behind-pads': 'ph.head-clear',
  'pads-loose': 'ph.firm',
  'pads-tilted': 'ph.rib-line',
} as const satisfies Record<string, ShippedCheckpointId>;
export type HolderFaultId = keyof typeof holderFaults;

/** A fault of the holder while one strike is held for. */
export interface HeldFault {
  id: HolderFaultId;
  checkpoint: ShippedCheckpointId;
  strength: number;
}
