import { checkpoints, type Checkpoint, type CheckpointId } from './checkpoint.ts';
import type { ClubEdits, EditedRow } from './club-edits.ts';
import { techniques, type Technique, type TechniqueId } from './technique.ts';

/** Everything that can be thrown and looked at, as one version of a club's checklists has it. */
export interface Catalogue {
  techniques: ReadonlyMap<TechniqueId, Technique>;
  checkpoints: ReadonlyMap<CheckpointId, Checkpoint>;
  /** Rows as a club wants them, by technique; none for a technique that it left alone. */
  edited: ReadonlyMap<TechniqueId, readonly EditedRow[]>;
}

const byId = <T extends { id: string }>(...lists: readonly (readonly T[])[]): ReadonlyMap<string, T> =>
  new Map(lists.flat().map((thing) => [thing.id, thing]));

/** As the product ships. */
export const shippedCatalogue: Catalogue = {
  techniques: byId<Technique>(techniques),
  checkpoints: byId<Checkpoint>(checkpoints),
  edited: new Map(),
};

/** Version of the checklists as they ship; a club's own begin after it. */
export const shippedVersion = 1;

/** The catalogue with a club's edits. The edits have been checked. */
export const catalogueOf = (edits: ClubEdits): Catalogue => ({
  // A club's techniques that were kept before there were series are single strikes.
  techniques: byId<Technique>(
    techniques,
    edits.techniques.map((own) => ({ ...own, parts: (own as Partial<Technique>).parts ?? [] })),
  ),
  // Checklists that were kept before anybody asked whom a checkpoint is about are about the trainee.
  checkpoints: byId<Checkpoint>(
    checkpoints,
    edits.checkpoints.map((own) => ({ ...own, subject: (own as Partial<Checkpoint>).subject ?? 'trainee' })),
  ),
  edited: new Map(Object.entries(edits.checklists)),
});

/** The technique with this id. @throws RangeError for an id that the catalogue does not have. */
export function techniqueIn({ techniques: all }: Catalogue, id: TechniqueId): Technique {
  const found = all.get(id);
  if (!found) throw new RangeError(`There is no technique “${id}”.`);
  return found;
}

/** The checkpoint with this id. @throws RangeError for an id that the catalogue does not have. */
export function checkpointIn({ checkpoints: all }: Catalogue, id: CheckpointId): Checkpoint {
  const found = all.get(id);
  if (!found) throw new RangeError(`There is no checkpoint “${id}”.`);
  return found;
}

/** What a technique is called; one that the catalogue does not have goes by its id. */
export const techniqueName = ({ techniques: all }: Catalogue, id: TechniqueId): string => all.get(id)?.name ?? id;
/** What a checkpoint is called; one that the catalogue does not have goes by its id. */
export const checkpointName = ({ checkpoints: all }: Catalogue, id: CheckpointId): string => all.get(id)?.name ?? id;

/** A technique's rows as the club wants them; as shipped where it has not said. */
export function rowsOf(catalogue: Catalogue, technique: TechniqueId): readonly EditedRow[] {
  return (
    catalogue.edited.get(technique) ?? techniqueIn(catalogue, technique).checkpoints.map((checkpointId) => ({ checkpointId }))
  );
}
