import type { Mark, MarkKind, ObservationMark, StrikeMark } from '@wax-fist/contract/review';
import { saidLater } from '@wax-fist/core/review';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, observation, strike, strikeRevision, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { catalogueAt } from '../checklists/versions.ts';

/** What a batch of marks is written with. */
interface Desk {
  db: Database;
  transaction: Database;
  film: { id: string; frames: number | null };
  /** The version of the checklists by which the film's session is judged. */
  checklistVersion: number;
  saidBy: string;
}

type Writer<Kind extends MarkKind> = (desk: Desk, mark: Extract<Mark, { kind: Kind }>, saidAt: Date) => Promise<void>;

/** How each kind of mark is checked and written. */
const writers: { readonly [Kind in MarkKind]: Writer<Kind> } = { strike: writeStrike, observation: writeObservation };
const writerOf = <Kind extends MarkKind>(mark: { kind: Kind }): Writer<Kind> => writers[mark.kind];

/**
 * Writes marks into a film's log, all or none. A mark that is there already is left alone, so sending twice is harmless.
 * Of two marks about the same thing the later said one counts, in whatever order they arrive; the other stays in the log.
 * @returns ids of the marks
 * @throws Refusal
 */
export async function writeMarks(db: Database, filmId: string, marks: readonly Mark[], saidBy: string): Promise<string[]> {
  await db.transaction(async (transaction) => {
    const rows = await transaction
      .select({ frames: film.frames, checklistVersion: trainingSession.checklistVersion })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .where(eq(film.id, filmId));
    const { frames, checklistVersion } = found(rows, 'film');
    const desk: Desk = { db, transaction, film: { id: filmId, frames }, checklistVersion, saidBy };
    const now = Date.now();
    for (const mark of marks) {
      // A browser whose clock is ahead must not win for ever.
      const saidAt = new Date(Math.min(now, Date.parse(mark.saidAt)));
      await writerOf(mark)(desk, mark, saidAt);
    }
  });
  return marks.map(({ id }) => id);
}

/** The strike, locked until the transaction ends so that two tabs take turns. */
async function lockedStrike({ transaction, film: of }: Desk, strikeId: string): Promise<typeof strike.$inferSelect> {
  const rows = await transaction
    .select()
    .from(strike)
    .where(and(eq(strike.id, strikeId), eq(strike.filmId, of.id)))
    .for('update');
  return found(rows, 'strike');
}

async function writeStrike(desk: Desk, mark: StrikeMark, saidAt: Date): Promise<void> {
  const { transaction, film: of, saidBy } = desk;
  const { id: revisionId, strikeId, technique, part, launchFrame, contactFrame, homeFrame, removed } = mark;
  if (of.frames === null || homeFrame >= of.frames) throw new Refusal(422, 'This strike lies outside of the film.');
  const catalogue = await catalogueAt(desk.db, desk.checklistVersion, transaction);
  const known = catalogue?.techniques.get(technique);
  if (!known) throw new Refusal(422, 'This technique is not in the catalogue of this session.');
  if (part !== null && part >= known.parts.length) throw new Refusal(422, 'This technique has no such part.');
  const told = { technique, part, launchFrame, contactFrame, homeFrame, removed, saidAt, saidBy };
  await transaction
    .insert(strike)
    .values({ id: strikeId, filmId: of.id, revisionId, ...told })
    .onConflictDoNothing();
  const standing = await lockedStrike(desk, strikeId);
  await transaction
    .insert(strikeRevision)
    .values({ id: revisionId, strikeId, ...told })
    .onConflictDoNothing();
  const later = saidLater(
    { id: revisionId, saidAt: saidAt.toISOString() },
    { id: standing.revisionId, saidAt: standing.saidAt.toISOString() },
  );
  if (later)
    await transaction
      .update(strike)
      .set({ revisionId, ...told })
      .where(eq(strike.id, strikeId));
}

async function writeObservation(desk: Desk, mark: ObservationMark, saidAt: Date): Promise<void> {
  const { transaction, saidBy } = desk;
  const { id, strikeId, checkpointId, verdict, note, view, anyway, checklistVersion } = mark;
  const checkpoint = (await catalogueAt(desk.db, checklistVersion, transaction))?.checkpoints.get(checkpointId);
  if (!checkpoint) throw new Refusal(422, 'This checkpoint is not in the checklist.');
  await lockedStrike(desk, strikeId);
  const [known] = await transaction.select({ id: observation.id }).from(observation).where(eq(observation.id, id));
  if (known) return;
  const [counting] = await transaction
    .select({ id: observation.id, saidAt: observation.saidAt })
    .from(observation)
    .where(
      and(eq(observation.strikeId, strikeId), eq(observation.checkpointId, checkpointId), eq(observation.superseded, false)),
    );
  const superseded =
    counting !== undefined &&
    !saidLater({ id, saidAt: saidAt.toISOString() }, { id: counting.id, saidAt: counting.saidAt.toISOString() });
  if (counting && !superseded) {
    await transaction.update(observation).set({ superseded: true }).where(eq(observation.id, counting.id));
  }
  const { subject } = checkpoint;
  await transaction
    .insert(observation)
    .values({ id, strikeId, checkpointId, subject, verdict, note, view, anyway, checklistVersion, saidBy, saidAt, superseded });
}
