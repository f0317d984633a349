import { isOfStrike, type Mark, type PinMark, type StrikeMark, type WrittenMarks } from '@wax-fist/contract/review';
import { latestBy, saidLater, type Statement } from '@wax-fist/core/review';
import { momentsOf } from '@wax-fist/core/strikes';
import { and, eq, getTableColumns, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { strike, strikeRevision } from '../../db/schema/index.ts';
import { cataloguesAt } from '../checklists/versions.ts';
import { heldByLog, strikesOf } from './held-by-log.ts';
import { append, asSaid, byId, notIn, WrittenMeanwhile, type Desk } from './log.ts';
import { problemOf, Sieve, type Told } from './sift-marks.ts';
import { talliesChanged } from './tallies.ts';
import { otherPins, pinsInLog, writePins } from './write-pins.ts';
import { writeWords } from './write-words.ts';

/** An id is chosen at random: that one is taken at the same moment happens by intention only, and hardly three times. */
const mostTries = 3;

/**
 * Writes marks into a film's log. Each is taken or refused by itself. A mark that is there already is left alone, so sending
 * twice is harmless. Of two marks about the same thing the later said one counts, in whatever order they arrive; the other stays
 * in the log. All of a batch is one transaction of about ten statements, whatever its size.
 * @throws Refusal when there is no such film
 */
export async function writeMarks(db: Database, filmId: string, sent: readonly unknown[], saidBy: string): Promise<WrittenMarks> {
  const [written] = await writeBatches(db, filmId, [sent], saidBy);
  return written!;
}

/** The same with several batches, which are written together or not at all. @returns what became of each */
export async function writeBatches(
  db: Database,
  filmId: string,
  batches: readonly (readonly unknown[])[],
  saidBy: string,
): Promise<WrittenMarks[]> {
  for (let attempt = 1; ; attempt++) {
    const sieve = new Sieve(batches.flat());
    try {
      await db.transaction((transaction) => writeOnce(db, { transaction, filmId, saidBy }, sieve));
      return sieve.answers(batches.map(({ length }) => length));
    } catch (error) {
      if (!(error instanceof WrittenMeanwhile) || attempt === mostTries) throw error;
    }
  }
}

async function writeOnce(db: Database, desk: Desk, sieve: Sieve): Promise<void> {
  const { frames, checklistVersion, blind, known, standing } = await heldByLog(desk, sieve);
  const judgedBy = sieve.of('observation').map(({ mark }) => mark.checklistVersion);
  const catalogues = await cataloguesAt(db, [checklistVersion, ...judgedBy], desk.transaction);
  sieve.sift(({ mark }) => problemOf(mark, { frames, blind, catalogue: catalogues.get(checklistVersion), catalogues }));

  const about = new Map(known);
  sieve.siftOf(isOfStrike, ({ mark }) => {
    const strikeId = about.get(mark.id) ?? mark.strikeId;
    about.set(mark.id, strikeId);
    return strikeId === mark.strikeId ? undefined : 'Another strike has a mark with this id.';
  });

  const knownPins = await pinsInLog(desk, sieve.of('pin'));
  const otherPin = otherPins(desk, knownPins);
  sieve.siftOf(isPin, ({ mark }) => otherPin(mark));

  await addNewStrikes(
    desk,
    sieve.of('strike').filter(({ mark }) => !standing.has(mark.strikeId)),
  );
  await lockMore(desk, sieve, standing);
  sieve.siftOf(isOfStrike, ({ mark }) =>
    standing.has(mark.strikeId) ? undefined : 'This strike is not here. It may have been removed.',
  );
  await writeRevisions(desk, notIn(known, sieve.of('strike')), standing);
  await writeWords(desk, notIn(known, sieve.of('observation')), { blind, catalogues });
  await writePins(desk, sieve.of('pin'), knownPins);
}

const isPin = (mark: Mark): mark is PinMark => mark.kind === 'pin';

const movedBy = ({ mark, saidAt }: Told<StrikeMark>, saidBy: string) => {
  const { technique, part, removed } = mark;
  return { technique, part, ...momentsOf(mark), removed, saidAt, saidBy };
};

/** Strikes that nobody told of before. In the order of their ids: two batches that bring the same take turns. */
async function addNewStrikes({ transaction, filmId, saidBy }: Desk, told: readonly Told<StrikeMark>[]): Promise<void> {
  const first = new Map(told.toReversed().map((one) => [one.mark.strikeId, one]));
  const rows = [...first].map(([id, one]) => ({ id, filmId, revisionId: one.mark.id, ...movedBy(one, saidBy) }));
  if (rows.length > 0) await transaction.insert(strike).values(rows.sort(byId)).onConflictDoNothing();
}

/** Locks the strikes that stand since a moment ago: those that were added just now, and what somebody else added meanwhile. */
async function lockMore({ transaction, filmId }: Desk, sieve: Sieve, standing: Map<string, Statement>): Promise<void> {
  const missing = strikesOf(sieve).filter((id) => !standing.has(id));
  if (missing.length === 0) return;
  const rows = await transaction
    .select({ id: strike.id, revisionId: strike.revisionId, saidAt: strike.saidAt })
    .from(strike)
    .where(and(eq(strike.filmId, filmId), inArray(strike.id, missing)))
    .orderBy(strike.id)
    .for('update');
  for (const { id, revisionId, saidAt } of rows) standing.set(id, { id: revisionId, saidAt: saidAt.toISOString() });
}

async function writeRevisions(
  desk: Desk,
  told: readonly Told<StrikeMark>[],
  standing: ReadonlyMap<string, Statement>,
): Promise<void> {
  if (told.length === 0) return;
  const rows = told.map((one) => ({ id: one.mark.id, strikeId: one.mark.strikeId, ...movedBy(one, desk.saidBy) }));
  await append(desk, strikeRevision, rows.sort(byId));
  await talliesChanged(desk.transaction, desk.filmId);
  const latest = latestBy(told.map(asSaid), ({ strikeId }) => strikeId);
  const moved = [...latest].filter(([strikeId, word]) => saidLater(word, standing.get(strikeId)!)).map(([, { id }]) => id);
  if (moved.length === 0) return;
  const { id: revisionId, strikeId: ofStrike, receivedAt: _, ...words } = getTableColumns(strikeRevision);
  await desk.transaction
    .update(strike)
    .set({ revisionId, ...words })
    .from(strikeRevision)
    .where(and(eq(ofStrike, strike.id), inArray(revisionId, moved)));
}
