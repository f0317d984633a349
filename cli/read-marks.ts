import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { filledPath } from '@wax-fist/contract/endpoint';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { knownStrikes, marksElsewhere } from '@wax-fist/contract/marks-elsewhere';
import { mostMarks, reviewEndpoints } from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { unpackTimeline } from '@wax-fist/core/film';
import {
  likelyMapping,
  neededFields,
  readTable,
  saidByItself,
  saidInTable,
  strikesElsewhere,
  textOfBytes,
  type ReadElsewhere,
} from '@wax-fist/core/marks-elsewhere';
import { catalogueOf } from '@wax-fist/core/technique';
import { readFile } from 'node:fs/promises';
import { v7 as uuid } from 'uuid';
import { askClub, type Club } from './club.ts';

/** What a file of marks says. @throws Error in words for the person */
function saidIn(path: string, text: string): ReadElsewhere {
  const read = saidByItself(path, text);
  if (read) return read;
  const table = readTable(text);
  const mapping = likelyMapping(table);
  const missing = neededFields.filter((field) => mapping.columns[field] === undefined);
  if (missing.length > 0) throw new Error(`${path}: no column is called “${missing.join('” or “')}”.`);
  return saidInTable(table, mapping);
}

async function timelineOf({ url, cookie }: Club, filmId: string): Promise<Float64Array> {
  const response = await fetch(new URL(filledPath(footageEndpoints.filmTimeline.path, { filmId }), url), {
    headers: { Cookie: cookie },
  });
  if (!response.ok) throw new Error('This film is not here, or is still being worked in.');
  return unpackTimeline(new Uint8Array(await response.arrayBuffer()));
}

/** What reading a file into a film comes to. */
export interface MarksRead {
  strikes: number;
  verdicts: number;
  /** Each row that was not taken, and why. */
  problems: string[];
}

/** Reads marks that were made elsewhere into a film, or only looks what that comes to. @throws Error in words for the person */
export async function readMarks(club: Club, path: string, filmId: string, dryRun: boolean): Promise<MarksRead> {
  const { said, problems } = saidIn(path, textOfBytes(await readFile(path)));
  const film = await askClub(club, footageEndpoints.showFilm, { filmId });
  const [timeline, session, review] = await Promise.all([
    timelineOf(club, filmId),
    askClub(club, sessionEndpoints.showSession, { sessionId: film.sessionId }),
    askClub(club, reviewEndpoints.showReview, { filmId }),
  ]);
  const version = String(session.checklistVersion);
  const { edits } = await askClub(club, checklistEndpoints.showChecklistVersion, { version });
  const read = strikesElsewhere(said, {
    ...{ catalogue: catalogueOf(edits), school: session.judgedBy, timeline, strikes: knownStrikes(review) },
  });
  const told = [...problems, ...read.problems].map(({ place, says }) => `${path}:${place}: ${says}`);
  if (!dryRun) {
    const marks = marksElsewhere(read.strikes, {
      ...{ view: film.view, checklistVersion: session.checklistVersion, saidAt: new Date().toISOString(), freshId: uuid },
    });
    for (let at = 0; at < marks.length; at += mostMarks) {
      const body = { marks: marks.slice(at, at + mostMarks) };
      const { refused } = await askClub(club, reviewEndpoints.writeMarks, { filmId }, { body });
      told.push(...refused.map(({ reason }) => `${path}: ${reason}`));
    }
  }
  return {
    strikes: read.strikes.length,
    verdicts: read.strikes.reduce((sum, { verdicts }) => sum + verdicts.length, 0),
    problems: told,
  };
}
