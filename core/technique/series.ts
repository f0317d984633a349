import { rowsOf, techniqueIn, type Catalogue } from './catalogue.ts';
import type { ChecklistRow } from './checklist.ts';
import type { Technique, TechniqueId } from './technique.ts';

/** A technique as it was tagged, and the place in it, from 0, when it is a series. */
export interface Tagged {
  technique: TechniqueId;
  /** Null for one strike, and for a series that was tagged as a whole. */
  part?: number | null | undefined;
}

/** Whether it is several strikes that are taught and called as one. */
export const isSeries = ({ parts }: Pick<Technique, 'parts'>): boolean => parts.length > 0;

/** The strike that is thrown: of a series the one at its place, else what was tagged. */
export function thrownAs({ techniques }: Catalogue, { technique, part }: Tagged): TechniqueId {
  return (typeof part === 'number' ? techniques.get(technique)?.parts[part] : undefined) ?? technique;
}

/**
 * Whether its launch, contact and home are those of one strike; of a series that was tagged as a whole they are not, nor of a spell on
 * pads, where whoever holds calls what comes.
 */
export function isOneStrike({ techniques }: Catalogue, { technique, part }: Tagged): boolean {
  const known = techniques.get(technique);
  return known === undefined || typeof part === 'number' || !(isSeries(known) || known.kind === 'pads');
}

/**
 * The rows of a series that are looked at in one of its strikes: how one stands before the first, how one leaves after the last,
 * what a strike has of its own at that strike, and what only the whole has after the last.
 * @param rows of the series
 */
export function rowsOfPart(rows: readonly ChecklistRow[], catalogue: Catalogue, { technique, part }: Tagged): ChecklistRow[] {
  const { parts } = techniqueIn(catalogue, technique);
  if (typeof part !== 'number' || parts.length === 0) return [...rows];
  const last = parts.length - 1;
  const own = parts.map(
    (id) => new Set(catalogue.techniques.has(id) ? rowsOf(catalogue, id).map((row) => row.checkpointId) : []),
  );
  return rows.filter(({ checkpoint: { id, phase } }) => {
    if (phase === 'ready') return part === 0;
    if (phase === 'exit' || !own.some((ids) => ids.has(id))) return part === last;
    return own[part]?.has(id) ?? false;
  });
}
