import { checkpoint, type Checkpoint, type CheckpointId } from './checkpoint.ts';
import { walkStops } from './family.ts';
import { techniques, type TechniqueId } from './technique.ts';
import { viewNames, type View } from './view.ts';

/** Version of the shipped checklists. An observation keeps the one it was judged by. */
export const checklistVersion = 1;

export interface ChecklistRow {
  checkpoint: Checkpoint & { id: CheckpointId };
  /** Whether a view that is on show can show it. */
  shown: boolean;
  /** The view that answers it: the own one if it can, else the other. */
  from: View;
  /** Why not, and from where it could be seen. Empty when shown. */
  reason: string;
}

/** A technique's checkpoints in walking order, each told whether `view` can show it, or the other view if one is on show. */
export function checklistFor(technique: TechniqueId, view: View, other?: View): ChecklistRow[] {
  return techniques[technique].checkpoints
    .map((id) => checkpoint(id))
    .sort((a, b) => walkStops.indexOf(a.stop) - walkStops.indexOf(b.stop))
    .map((row) => {
      const from = [view, other].find((one) => one && row.views.includes(one));
      const better = row.views.map((name) => viewNames[name].toLowerCase()).join(' or ');
      return {
        checkpoint: row,
        shown: from !== undefined,
        from: from ?? view,
        reason: from ? '' : `Cannot be judged from here: film from the ${better}.`,
      };
    });
}
