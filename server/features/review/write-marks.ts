import {
  isOfStrike,
  type Mark,
  type ObservationMark,
  type PinMark,
  type StrikeMark,
  type WrittenMarks,
} from '@wax-fist/contract/review';
import { latestBy, saidLater, type Statement } from '@wax-fist/core/review';
import { momentsOf } from '@wax-fist/core/strikes';
import type { Catalogue } from '@wax-fist/core/technique';
import { and, eq, getTableColumns, inArray, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, observation, secondWord, strike, strikeRevision, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { cataloguesAt } from '../checklists/versions.ts';
import { marksBlind } from '../reviewing/second-marking.ts';
import { append, asSaid, byId, notIn, WrittenMeanwhile, type Desk } from './log.ts';
import { problemOf, Sieve, type Told } from './sift-marks.ts';
import { talliesChanged, whileSaying } from './tallies.ts';
import { otherPins, pinsInLog, writePins } from './write-pins.ts';

/** An id is chosen at random: that one is taken at the same moment happens by intention only, and hardly three times. */
const mostTries = 3;

/**
 * Writes marks into a film's log. Each is taken or refused by itself. A mark that is there already is left alone, so sending
 * twice is harmless. Of two marks about the same thing the later said one counts, in whatever order they arrive; the other stays
 * in the log. All of a batch is one transaction of about ten statements, whatever its size.
 * @throws Refusal when there is no such film
 */
export async function writeMarks(db: Database, filmId: string, sent: readonly unknown[], saidBy: string): Promise<WrittenMarks> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.transaction((transaction) => writeOnce(db, { transaction, filmId, saidBy }, sent));
    } catch (error) {
      if (!(error instanceof WrittenMeanwhile) || attempt === mostTries) throw error;
    }
  }
}

async function writeOnce(db: Database, desk: Desk, sent: readonly unknown[]): Promise<WrittenMarks> {
  const sieve = new Sieve(sent);
  const { frames, checklistVersion, blind } = await filmToMark(desk);
  const judgedBy = sieve.of('observation').map(({ mark }) => mark.checklistVersion);
  const catalogues = await cataloguesAt(db, [checklistVersion, ...judgedBy], desk.transaction);
  sieve.sift(({ mark }) => problemOf(mark, { frames, blind, catalogue: catalogues.get(checklistVersion), catalogues }));

  const known = await strikesOfMarks(desk, sieve);
  const about = new Map(known);
  sieve.siftOf(isOfStrike, ({ mark }) => {
    const strikeId = about.get(mark.id) ?? mark.strikeId;
    about.set(mark.id, strikeId);
    return strikeId === mark.strikeId ? undefined : 'Another strike has a mark with this id.';
  });

  const knownPins = await pinsInLog(desk, sieve.of('pin'));
  const otherPin = otherPins(desk, knownPins);
  sieve.siftOf(isPin, ({ mark }) => otherPin(mark));

  await addNewStrikes(desk, sieve.of('strike'));
  const standing = await lockedStrikes(desk, sieve);
  sieve.siftOf(isOfStrike, ({ mark }) =>
    standing.has(mark.strikeId) ? undefined : 'This strike is not here. It may have been removed.',
  );
  await writeRevisions(desk, notIn(known, sieve.of('strike')), standing);
  const words = notIn(known, sieve.of('observation'));
  if (blind) await writeSecondWords(desk, words);
  else await writeObservations(desk, words, catalogues);
  await writePins(desk, sieve.of('pin'), knownPins);
  if (!blind && sieve.that(isOfStrike).length > 0) await talliesChanged(desk.transaction, desk.filmId);
  return { kept: sieve.told.map(({ mark }) => mark.id), refused: sieve.refused.sort((a, b) => a.place - b.place) };
}

const isPin = (mark: Mark): mark is PinMark => mark.kind === 'pin';

/** The film, held fast: removing it waits until its marks are written. */
async function filmToMark({ transaction, filmId, saidBy }: Desk) {
  const rows = await transaction
    .select({
      frames: film.frames,
      checklistVersion: trainingSession.checklistVersion,
      blind: marksBlind(saidBy),
      whileSaying,
    })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(eq(film.id, filmId))
    .for('key share', { of: film });
  return found(rows, 'film');
}

/** Which strike each mark is about that the log has already, by the id of the mark. */
async function strikesOfMarks({ transaction }: Desk, sieve: Sieve): Promise<Map<string, string>> {
  const known = new Map<string, string>();
  for (const [kind, log] of [
    ['strike', strikeRevision] as const,
    ['observation', observation] as const,
    ['observation', secondWord] as const,
  ]) {
    const ids = sieve.of(kind).map(({ mark }) => mark.id);
    if (ids.length === 0) continue;
    const rows = await transaction.select({ id: log.id, strikeId: log.strikeId }).from(log).where(inArray(log.id, ids));
    for (const { id, strikeId } of rows) known.set(id, strikeId);
  }
  return known;
}

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

/** The strikes of the film that the marks are about, locked until the transaction ends; in one order, so that nobody waits in a ring. */
async function lockedStrikes({ transaction, filmId }: Desk, sieve: Sieve): Promise<Map<string, Statement>> {
  const ids = [...new Set(sieve.that(isOfStrike).map(({ mark }) => mark.strikeId))];
  if (ids.length === 0) return new Map();
  const rows = await transaction
    .select({ id: strike.id, revisionId: strike.revisionId, saidAt: strike.saidAt })
    .from(strike)
    .where(and(eq(strike.filmId, filmId), inArray(strike.id, ids)))
    .orderBy(strike.id)
    .for('update');
  return new Map(rows.map(({ id, revisionId, saidAt }) => [id, { id: revisionId, saidAt: saidAt.toISOString() }]));
}

async function writeRevisions(
  desk: Desk,
  told: readonly Told<StrikeMark>[],
  standing: ReadonlyMap<string, Statement>,
): Promise<void> {
  if (told.length === 0) return;
  const rows = told.map((one) => ({ id: one.mark.id, strikeId: one.mark.strikeId, ...movedBy(one, desk.saidBy) }));
  await append(desk, strikeRevision, rows.sort(byId));
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

/** Which of some words about checkpoints counts for each, and which of those that did no more. */
function overruling(counting: readonly (Statement & About)[], told: readonly Told<ObservationMark>[]) {
  const latest = latestBy([...counting, ...told.map(asSaid)], ({ strikeId, checkpointId }) => `${strikeId} ${checkpointId}`);
  const counts = new Set([...latest.values()].map(({ id }) => id));
  return { counts, overruled: counting.filter(({ id }) => !counts.has(id)).map(({ id }) => id) };
}
type About = Pick<ObservationMark, 'strikeId' | 'checkpointId'>;

/** The words that count about the strikes of some marks, in one of the two logs. */
async function countingIn(
  { transaction }: Desk,
  log: typeof observation | typeof secondWord,
  told: readonly Told<ObservationMark>[],
  which?: SQL,
): Promise<(Statement & About)[]> {
  const rows = await transaction
    .select({ id: log.id, saidAt: log.saidAt, strikeId: log.strikeId, checkpointId: log.checkpointId })
    .from(log)
    .where(and(inArray(log.strikeId, [...new Set(told.map(({ mark }) => mark.strikeId))]), eq(log.superseded, false), which));
  return rows.map(({ saidAt, ...row }) => ({ ...row, saidAt: saidAt.toISOString() }));
}

async function writeObservations(
  desk: Desk,
  told: readonly Told<ObservationMark>[],
  catalogues: ReadonlyMap<number, Catalogue>,
): Promise<void> {
  if (told.length === 0) return;
  const { counts, overruled } = overruling(await countingIn(desk, observation, told), told);
  if (overruled.length > 0) {
    await desk.transaction.update(observation).set({ superseded: true }).where(inArray(observation.id, overruled));
  }
  const rows = told.map(({ mark: { kind: _, blind: __, ...mark }, saidAt }) => ({
    ...mark,
    subject: catalogues.get(mark.checklistVersion)!.checkpoints.get(mark.checkpointId)!.subject,
    saidAt,
    saidBy: desk.saidBy,
    superseded: !counts.has(mark.id),
  }));
  await append(desk, observation, rows.sort(byId));
}

/** What a second coach says stays apart from what counts. */
async function writeSecondWords(desk: Desk, told: readonly Told<ObservationMark>[]): Promise<void> {
  if (told.length === 0) return;
  const { saidBy } = desk;
  const { counts, overruled } = overruling(await countingIn(desk, secondWord, told, eq(secondWord.saidBy, saidBy)), told);
  if (overruled.length > 0) {
    await desk.transaction.update(secondWord).set({ superseded: true }).where(inArray(secondWord.id, overruled));
  }
  const rows = told.map(({ mark: { kind: _, blind: __, proposed: ___, ...mark }, saidAt }) => ({
    ...mark,
    saidAt,
    saidBy,
    superseded: !counts.has(mark.id),
  }));
  await append(desk, secondWord, rows.sort(byId));
}
