import type { Band } from './band.ts';
import type { Checkpoint, CheckpointId } from './checkpoint.ts';
import type { Technique, TechniqueId } from './technique.ts';

/** A row of a technique's checklist as a club wants it. What is left out stays as it ships. */
export interface EditedRow {
  checkpointId: CheckpointId;
  hidden?: boolean;
  question?: string;
  clean?: string;
  cue?: string;
  band?: Band;
}

/** What a club has changed: its own checkpoints and techniques, and the rows of every checklist that it touched, in its order. */
export interface ClubEdits {
  checkpoints: readonly Checkpoint[];
  techniques: readonly Technique[];
  checklists: Readonly<Record<TechniqueId, readonly EditedRow[]>>;
}

/** A club that has changed nothing. */
export const noClubEdits: ClubEdits = { checkpoints: [], techniques: [], checklists: {} };

/** Ids of a club's own things begin so, and never meet one that ships. */
export const ownPrefix = 'own.';
