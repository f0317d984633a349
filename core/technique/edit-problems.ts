import { bandProblem, within } from './band.ts';
import { shippedCatalogue } from './catalogue.ts';
import { upstreamOf } from './causes.ts';
import { ownPrefix, type ClubEdits, type EditedRow } from './club-edits.ts';
import { fixedFor } from './schools/fixed-faults.ts';
import { isSeries } from './series.ts';

/** Something in a club’s edits that cannot be used. */
export interface EditProblem {
  /** Where in the document, e.g. `checklists.jab[3].band`. */
  place: string;
  says: string;
}

/** Everything that is wrong with a club's edits beyond their shape; empty when they can be used. */
export function editProblems(edits: ClubEdits): EditProblem[] {
  const problems: EditProblem[] = [];
  const tell = (place: string, says: string): void => void problems.push({ place, says });
  const checkpoints = new Map(shippedCatalogue.checkpoints);
  const techniques = new Map(shippedCatalogue.techniques);
  ownThings(edits.checkpoints, checkpoints, 'checkpoints', tell);
  edits.checkpoints.forEach((one, place) => {
    for (const cause of one.causes)
      if (!checkpoints.has(cause)) tell(`checkpoints[${place}].causes`, `There is no checkpoint “${cause}”.`);
    if (upstreamOf(checkpoints, one.id).has(one.id))
      tell(`checkpoints[${place}].causes`, `“${one.name}” would bring itself about.`);
  });
  ownThings(edits.techniques, techniques, 'techniques', tell);
  edits.techniques.forEach((one, place) => {
    if (one.checkpoints.length === 0) tell(`techniques[${place}].checkpoints`, 'A technique needs at least one checkpoint.');
    for (const id of one.checkpoints)
      if (!checkpoints.has(id)) tell(`techniques[${place}].checkpoints`, `There is no checkpoint “${id}”.`);
    for (const id of one.chain) if (!checkpoints.has(id)) tell(`techniques[${place}].chain`, `There is no checkpoint “${id}”.`);
    for (const [id, band] of Object.entries(one.bands)) {
      const problem = bandProblem(band);
      if (problem) tell(`techniques[${place}].bands.${id}`, problem);
    }
    for (const id of one.parts) {
      const part = techniques.get(id);
      if (!part) tell(`techniques[${place}].parts`, `There is no technique “${id}”.`);
      else if (isSeries(part)) tell(`techniques[${place}].parts`, `“${id}” is a series itself.`);
    }
  });
  for (const [technique, rows] of Object.entries(edits.checklists)) {
    if (!techniques.has(technique)) tell(`checklists.${technique}`, `There is no technique “${technique}”.`);
    const met = new Set<string>();
    rows.forEach((row, index) => {
      const place = `checklists.${technique}[${index}]`;
      if (!checkpoints.has(row.checkpointId)) tell(`${place}.checkpointId`, `There is no checkpoint “${row.checkpointId}”.`);
      if (met.has(row.checkpointId)) tell(`${place}.checkpointId`, `“${row.checkpointId}” is in this checklist twice.`);
      met.add(row.checkpointId);
      rowProblems(technique, row, place, tell);
    });
    if (rows.length > 0 && rows.every(({ hidden }) => hidden)) tell(`checklists.${technique}`, 'Every row is hidden.');
  }
  return problems;
}

function ownThings<T extends { id: string }>(
  things: readonly T[],
  known: Map<string, T>,
  list: string,
  tell: (place: string, says: string) => void,
): void {
  things.forEach((thing, place) => {
    if (!thing.id.startsWith(ownPrefix)) tell(`${list}[${place}].id`, `An id of your own begins with “${ownPrefix}”.`);
    if (known.has(thing.id)) tell(`${list}[${place}].id`, `“${thing.id}” is there twice.`);
    known.set(thing.id, thing);
  });
}

function rowProblems(technique: string, row: EditedRow, place: string, tell: (place: string, says: string) => void): void {
  const fixed = fixedFor(technique, row.checkpointId);
  if (fixed && row.hidden) tell(`${place}.hidden`, `${fixed.says} is a fault in every school; this row cannot be hidden.`);
  if (!row.band) return;
  const problem = bandProblem(row.band);
  if (problem) return tell(`${place}.band`, problem);
  const [least, most] = fixed?.within ?? [null, null];
  const [from, to] = row.band.watch;
  const loose =
    (least !== null && !within([least, null], from ?? -Infinity)) || (most !== null && !within([null, most], to ?? Infinity));
  if (fixed && loose) tell(`${place}.band`, `${fixed.says} is a fault in every school: ${boundInWords(least, most)}.`);
}

const boundInWords = (least: number | null, most: number | null): string =>
  least === null ? `not above ${most}` : `not below ${least}`;
