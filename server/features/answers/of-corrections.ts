import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction, StepNumbers } from '@wax-fist/contract/corrections';
import {
  isAbout,
  proposedStep,
  standingOf,
  type Answer,
  type ProposedStep,
  type Series,
  type Thing,
} from '@wax-fist/core/correction';
import { seen } from '@wax-fist/core/review';
import { and, eq, or } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { answersTo, seriesAt, seriesOfTrainee, toldSince, type AskedSeries } from './answers.ts';

/** What is asked where no correction is: the last twelve weeks. A correction asks since it was opened, with its aim. */
const asAsked = (
  traineeId: string,
  series: Series,
  by: Correction | undefined,
): AskedSeries & { by: Correction | undefined } => ({
  traineeId,
  ...series,
  by,
  question: by ? { openedOn: by.openedOn, aim: by.target } : {},
});

/** The step that an answer proposes for the correction that asked. */
export function stepProposed(by: Correction, rung: number, { levels, atAim }: Answer): ProposedStep | undefined {
  const { sessionId, heldOn, tally } = levels.at(-1)!;
  const shown = { sessionId, heldOn, rung, seen: seen(tally), atAim };
  return proposedStep(standingOf(by.history, by.rung), by.history, shown, by.topRung);
}

/** The numbers by which a step is told. */
export function numbersOf({ levels, atAim }: Answer): StepNumbers {
  const { level, low, high } = levels.at(-1)!;
  return { level, low, high, atAim, sessions: levels.length };
}

async function told(db: Database, asked: readonly ReturnType<typeof asAsked>[]): Promise<LevelAnswer[]> {
  const answers = await answersTo(
    db,
    asked.map(({ by: _, ...one }) => one),
  );
  return answers.map((answer, place) => {
    const { technique, checkpointId, rung, by } = asked[place]!;
    const proposed = by && stepProposed(by, rung, answer);
    return {
      ...{ technique, checkpointId, rung, ...answer },
      sessions: answer.levels.length,
      since: answer.since ?? null,
      change: answer.change ?? null,
      settling: answer.settling ?? null,
      weeksToAim: answer.weeksToAim ?? null,
      correctionId: by?.id ?? null,
      proposed: proposed ?? null,
    };
  });
}

/** Everything that was looked at in a session, as it stood after it. @throws Refusal when there is none */
export async function sessionAnswers(db: Database, sessionId: string): Promise<LevelAnswer[]> {
  const rows = await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId));
  const { traineeId, holderId, heldOn, rung } = found(rows, 'session');
  const whose = [{ traineeId, part: 'strikes' as const }, ...(holderId ? [{ traineeId: holderId, part: 'holds' as const }] : [])];
  const asking = await correctionsOf(db, and(isOpen, or(...whose.map((one) => eq(correction.traineeId, one.traineeId)))));
  const asked = await Promise.all(
    whose.map(async (one) => {
      const by = asking.filter((correction) => correction.traineeId === one.traineeId && correction.openedOn <= heldOn);
      // What nobody works on is asked about the last weeks only; what somebody does since it was opened, however long ago.
      const [lately, since] = await Promise.all([
        seriesOfTrainee(db, one.traineeId, { rung, since: toldSince(heldOn) }, one.part),
        by.length > 0 ? seriesOfTrainee(db, one.traineeId, { rung, about: by }, one.part) : [],
      ]);
      const series = seriesAt(
        lately.map((each) => since.find(isAbout(each)) ?? each),
        sessionId,
      );
      return series.map((each) => asAsked(one.traineeId, each, by.find(isAbout(each))));
    }),
  );
  const answers = await told(db, asked.flat());
  return answers.map((answer) => ({
    ...answer,
    levels: answer.levels.filter(
      (level, place) => level.sessionId === answer.since?.sessionId || place === answer.levels.length - 1,
    ),
  }));
}

/** Every correction of a trainee at every rung at which it was looked at; with a thing that is asked about, that alone. */
export async function traineeAnswers(db: Database, traineeId: string, only: Partial<Thing> = {}): Promise<LevelAnswer[]> {
  const { technique, checkpointId } = only;
  const about = technique !== undefined && checkpointId !== undefined ? { technique, checkpointId } : undefined;
  const all = await correctionsOf(db, eq(correction.traineeId, traineeId));
  const corrections = about ? all.filter(isAbout(about)) : all;
  if (!about && corrections.length === 0) return [];
  const series = await seriesOfTrainee(db, traineeId, { about: about ? [about] : corrections });
  if (!about)
    return told(
      db,
      corrections.flatMap((by) => series.filter(isAbout(by)).map((each) => asAsked(traineeId, each, by))),
    );
  const by = corrections.find(({ state }) => state !== 'closed') ?? corrections.at(-1);
  return told(
    db,
    series.map((each) => asAsked(traineeId, each, by)),
  );
}

/** What a session says of a correction at its rung; undefined when it was not looked at there. */
export async function answerFor(
  db: Database,
  by: Correction,
  sessionId: string,
): Promise<{ rung: number; answer: Answer } | undefined> {
  const series = seriesAt(await seriesOfTrainee(db, by.traineeId, { about: [by] }), sessionId).find(isAbout(by));
  if (!series) return undefined;
  const [answer] = await answersTo(db, [asAsked(by.traineeId, series, by)]);
  return { rung: series.rung, answer: answer! };
}
