import { defenceCheckpoints } from './checkpoints/defence.ts';
import { exitCheckpoints } from './checkpoints/exit.ts';
import { guardCheckpoints } from './checkpoints/guard.ts';
import { holdingCheckpoints } from './checkpoints/holding.ts';
import { kickCheckpoints } from './checkpoints/kick.ts';
import { pivotCheckpoints } from './checkpoints/pivot.ts';
import { rhythmCheckpoints } from './checkpoints/rhythm.ts';
import { stanceCheckpoints } from './checkpoints/stance.ts';
import { strikeCheckpoints } from './checkpoints/strike.ts';
import type { Checkpoint } from './checkpoints/row.ts';

export { subjects } from './checkpoints/row.ts';
export type { Checkpoint, Subject } from './checkpoints/row.ts';

const table = [
  ...stanceCheckpoints,
  ...pivotCheckpoints,
  ...guardCheckpoints,
  ...strikeCheckpoints,
  ...kickCheckpoints,
  ...defenceCheckpoints,
  ...exitCheckpoints,
  ...rhythmCheckpoints,
  ...holdingCheckpoints,
] as const;

/** A checkpoint that ships with the product; a club may have others besides. */
export type ShippedCheckpointId = (typeof table)[number]['id'];
/** Any checkpoint, shipped or a club's own. */
export type CheckpointId = string;

/** Every checkpoint that ships. */
export const checkpoints: readonly (Checkpoint & { id: ShippedCheckpointId })[] = table;
