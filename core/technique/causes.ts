import { techniqueIn, type Catalogue } from './catalogue.ts';
import type { Checkpoint, CheckpointId } from './checkpoint.ts';
import type { TechniqueId } from './technique.ts';

/** Everything that lies upstream of a checkpoint, however far; itself only when it is in a ring. */
export function upstreamOf(checkpoints: Catalogue['checkpoints'], id: CheckpointId): Set<CheckpointId> {
  const met = new Set<CheckpointId>();
  const visit = (one: CheckpointId): void => {
    for (const cause of checkpoints.get(one)?.causes ?? []) {
      if (met.has(cause)) continue;
      met.add(cause);
      visit(cause);
    }
  };
  visit(id);
  return met;
}

/**
 * What often brings a checkpoint’s fault about in a technique: the nearest causes that are looked at there. One that is not is passed
 * over to what lies behind it, so that nobody is pointed at a row that the checklist does not have.
 */
export function causesIn(catalogue: Catalogue, technique: TechniqueId, id: CheckpointId): Checkpoint[] {
  const asked = new Set(techniqueIn(catalogue, technique).checkpoints);
  const met = new Set<CheckpointId>([id]);
  const nearest: Checkpoint[] = [];
  const visit = (one: CheckpointId): void => {
    for (const cause of catalogue.checkpoints.get(one)?.causes ?? []) {
      if (met.has(cause)) continue;
      met.add(cause);
      if (asked.has(cause)) nearest.push(catalogue.checkpoints.get(cause)!);
      else visit(cause);
    }
  };
  visit(id);
  return nearest;
}
