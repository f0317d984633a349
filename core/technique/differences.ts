import type { Band } from './band.ts';
import { catalogueOf, techniqueIn, checkpointIn, rowsOf, type Catalogue } from './catalogue.ts';
import { checklistFor, type ChecklistRow } from './checklist.ts';
import type { ClubEdits, EditedRow } from './club-edits.ts';
import { termOf, type School } from './schools/school.ts';
import { walkStops } from './family.ts';

/** One thing in which two checklists differ, told for a reader. */
export interface ChecklistDifference {
  technique: string;
  /** Empty when the technique as a whole is meant. */
  checkpoint: string;
  says: string;
}

const spanInWords = ([from, to]: Band['clean']): string =>
  from === null ? `up to ${to}` : to === null ? `from ${from}` : `${from} to ${to}`;
/** A band as a reader sees it, in the unit of its measure. */
export const bandInWords = ({ clean, watch }: Band): string => `clean ${spanInWords(clean)}, watch ${spanInWords(watch)}`;

const sameBand = (one: Band | undefined, other: Band | undefined): boolean => JSON.stringify(one) === JSON.stringify(other);

/** What somebody who knows `before` has to know of `after`, technique by technique. */
export function differencesOfEdits(before: ClubEdits, after: ClubEdits): ChecklistDifference[] {
  const [one, other] = [catalogueOf(before), catalogueOf(after)];
  const ids = [...new Set([...one.techniques.keys(), ...other.techniques.keys()])];
  return ids.flatMap((id): ChecklistDifference[] => {
    if (!other.techniques.has(id)) return [{ technique: techniqueIn(one, id).name, checkpoint: '', says: 'taken out' }];
    const { name } = techniqueIn(other, id);
    if (!one.techniques.has(id)) return [{ technique: name, checkpoint: '', says: 'new' }];
    return rowDifferences(inOrder(one, id), inOrder(other, id)).map(({ checkpointId, says }) => {
      const of = other.checkpoints.has(checkpointId) ? other : one;
      return { technique: name, checkpoint: checkpointId && checkpointIn(of, checkpointId).name, says };
    });
  });
}

/** Rows in the order in which they are walked. */
function inOrder(catalogue: Catalogue, technique: string): readonly EditedRow[] {
  const rows = rowsOf(catalogue, technique);
  if (catalogue.edited.has(technique)) return rows;
  const stop = ({ checkpointId }: EditedRow): number => walkStops.indexOf(checkpointIn(catalogue, checkpointId).stop);
  return [...rows].sort((a, b) => stop(a) - stop(b));
}

function rowDifferences(before: readonly EditedRow[], after: readonly EditedRow[]): { checkpointId: string; says: string }[] {
  const was = new Map(before.map((row) => [row.checkpointId, row]));
  const is = new Map(after.map((row) => [row.checkpointId, row]));
  const gone = before
    .filter(({ checkpointId }) => !is.has(checkpointId))
    .map(({ checkpointId }) => ({ checkpointId, says: 'taken out' }));
  const changed = after.flatMap((row) => {
    const held = was.get(row.checkpointId);
    return (held ? rowChanges(held, row) : ['added']).map((says) => ({ checkpointId: row.checkpointId, says }));
  });
  const common = (rows: readonly EditedRow[], other: ReadonlyMap<string, unknown>): string =>
    rows
      .filter(({ checkpointId }) => other.has(checkpointId))
      .map(({ checkpointId }) => checkpointId)
      .join();
  const moved = common(before, is) === common(after, was) ? [] : [{ checkpointId: '', says: 'another order' }];
  return [...gone, ...changed, ...moved];
}

function rowChanges(before: EditedRow, after: EditedRow): string[] {
  const said: string[] = [];
  if (Boolean(before.hidden) !== Boolean(after.hidden)) said.push(after.hidden ? 'hidden' : 'shown again');
  for (const [key, what] of [
    ['question', 'question'],
    ['clean', 'what clean is'],
    ['cue', 'cue'],
  ] as const)
    if ((before[key] ?? '') !== (after[key] ?? '')) said.push(after[key] ? `${what}: “${after[key]}”` : `${what} as it ships`);
  if (!sameBand(before.band, after.band)) said.push(after.band ? `band: ${bandInWords(after.band)}` : 'band as it ships');
  return said;
}

/** What changes for a technique, or for all, when one school takes the place of another. */
export function differencesOfSchools(
  catalogue: Catalogue,
  before: School,
  after: School,
  techniques?: readonly string[],
): ChecklistDifference[] {
  const ids = techniques ?? [...catalogue.techniques.keys()];
  return ids.flatMap((id) => {
    const { name } = techniqueIn(catalogue, id);
    const rows = (school: School): Map<string, ChecklistRow> =>
      new Map(checklistFor(catalogue, id, { school, view: 'quarter' }).map((row) => [row.checkpoint.id, row]));
    const [was, is] = [rows(before), rows(after)];
    const said: ChecklistDifference[] = [];
    const [oldName, newName] = [termOf(before, id) ?? name, termOf(after, id) ?? name];
    if (oldName !== newName) said.push({ technique: name, checkpoint: '', says: `called “${newName}”` });
    for (const [key, { checkpoint }] of was)
      if (!is.has(key)) said.push({ technique: name, checkpoint: checkpoint.name, says: 'no longer looked at' });
    for (const [key, row] of is) {
      const held = was.get(key);
      const tell = (says: string): void => void said.push({ technique: name, checkpoint: row.checkpoint.name, says });
      if (!held) tell('looked at, too');
      else {
        if (held.checkpoint.question !== row.checkpoint.question) tell(`asks: ${row.checkpoint.question}`);
        if (held.checkpoint.clean !== row.checkpoint.clean) tell(`clean is: ${row.checkpoint.clean}`);
        if (!sameBand(held.band, row.band) && row.band) tell(bandInWords(row.band));
        if (held.reported !== row.reported) tell(row.reported ? 'told, but no fault' : 'a fault again');
      }
    }
    return said;
  });
}
