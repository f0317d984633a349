import { mostMarks, type WrittenMarks } from '@wax-fist/contract/review';
import type { Database } from '../../db/connection.ts';
import { writeBatches, writeMarks } from './write-marks.ts';

/** Marks as they were sent, and whoever waits for what became of them. */
interface Sheet {
  sent: readonly unknown[];
  answer: (written: WrittenMarks) => void;
  fail: (error: unknown) => void;
}

/** Takes from the front as many sheets as one transaction may hold, one at least. */
function takeSheets(sheets: Sheet[]): Sheet[] {
  let marks = 0;
  const more = sheets.findIndex(({ sent }, place) => (marks += sent.length) > mostMarks && place > 0);
  return sheets.splice(0, more < 0 ? sheets.length : more);
}

/**
 * Writes marks as `writeMarks` does. What one coach sends of one film is written in one transaction after the other, in each of them
 * all that has come meanwhile: they would wait for each other in the database, since each holds the strikes it is about until it is
 * written, and fifty marks together take hardly longer than a single one.
 */
export function markDesk(db: Database): (filmId: string, sent: readonly unknown[], saidBy: string) => Promise<WrittenMarks> {
  const waiting = new Map<string, Sheet[]>();

  async function writeSheets(sheets: readonly Sheet[], filmId: string, saidBy: string): Promise<void> {
    if (sheets.length > 1) {
      const written = await writeBatches(
        db,
        filmId,
        sheets.map(({ sent }) => sent),
        saidBy,
      ).catch(() => undefined);
      if (written) return sheets.forEach(({ answer }, place) => answer(written[place]!));
    }
    // One that brings others down fails alone.
    for (const { sent, answer, fail } of sheets) await writeMarks(db, filmId, sent, saidBy).then(answer, fail);
  }

  return (filmId, sent, saidBy) =>
    new Promise((answer, fail) => {
      const desk = `${filmId} ${saidBy}`;
      const sheet = { sent, answer, fail };
      const others = waiting.get(desk);
      if (others) return void others.push(sheet);
      const sheets = [sheet];
      waiting.set(desk, sheets);
      const work = async (): Promise<void> => {
        while (sheets.length > 0) await writeSheets(takeSheets(sheets), filmId, saidBy);
        waiting.delete(desk);
      };
      void work();
    });
}
