import type { Ms } from '../units.ts';
import type { Band } from './band.ts';
import type { CheckpointId } from './checkpoint.ts';
import type { StrikeFamily } from './family.ts';
import type { TargetZone } from './target-zones.ts';
import { bagsAndPads } from './techniques/bags-and-pads.ts';
import { defences } from './techniques/defence.ts';
import { feints } from './techniques/feint.ts';
import { footwork } from './techniques/footwork.ts';
import { hands } from './techniques/hands.ts';
import { jabCrosses } from './techniques/jab-cross.ts';
import { kicks } from './techniques/kicks.ts';
import { checkpointLists, type Range, type Side, type TechniqueKind, type TechniqueRow } from './techniques/row.ts';

export { followUpWithin } from './techniques/defence.ts';
export { checkpointLists, techniqueKindNames, techniqueKinds } from './techniques/row.ts';
export type { Range, Side, TechniqueKind } from './techniques/row.ts';

const table = [...hands, ...jabCrosses, ...kicks, ...feints, ...defences, ...footwork, ...bagsAndPads] as const;

/** A technique that ships with the product; a club may have others besides. */
export type ShippedTechniqueId = (typeof table)[number]['id'];
/** Any technique, shipped or a club's own. */
export type TechniqueId = string;

/** What is thrown, with what is looked at in it. */
export interface Technique {
  id: TechniqueId;
  name: string;
  kind: TechniqueKind;
  side: Side;
  range: Range;
  alsoSaid: readonly string[];
  /** Of a series, the strikes in their order, each judged at its own moments; empty for one strike. */
  parts: readonly TechniqueId[];
  checkpoints: readonly CheckpointId[];
  /** Where it differs from what its measures ask in general, by checkpoint. */
  bands: Readonly<Record<CheckpointId, Band>>;
  zones: readonly TargetZone[];
  /** Faults that usually bring each other about, first cause first. */
  chain: readonly CheckpointId[];
  risk: string;
  /** Why a family is not looked at. */
  without: Readonly<Partial<Record<StrikeFamily, string>>>;
  usualOut: Ms;
  usualReturn: Ms;
}

/** A technique with its lists written out, each checkpoint once. */
const written = ({ lists, beyond, parts = [], bands = {}, without = {}, ...row }: TechniqueRow): Technique => ({
  ...row,
  parts,
  checkpoints: [...new Set([...lists.flatMap((name) => checkpointLists[name]), ...beyond])],
  bands,
  without,
});

/** What is said of whoever holds the pads belongs to none of the strikes it was seen on: it is told under this technique. */
export const holdingTechnique: TechniqueId = 'holding' satisfies ShippedTechniqueId;

/** A strike that is begun and taken back, whichever it is of. */
export const feintTechnique: TechniqueId = 'feint' satisfies ShippedTechniqueId;

/** Every technique that ships. */
export const techniques: readonly (Technique & { id: ShippedTechniqueId })[] = (table as readonly TechniqueRow[]).map(
  (row) => written(row) as Technique & { id: ShippedTechniqueId },
);
