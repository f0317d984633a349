import {
  seriesOf,
  upTo,
  type Answer,
  type ClubSpread,
  type Question,
  type Series,
  type SessionLook,
} from '@wax-fist/core/correction';
import { dayAfter } from '@wax-fist/core/days';
import { holdingTechnique } from '@wax-fist/core/technique';
import { and, inArray, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { levelAnswer } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { talliesOfTrainee, type AskedTallies } from '../measures/counted-tallies.ts';
import { spreadNow } from './learned-spread.ts';

/** Counted up whenever the same looks would be answered differently. */
const modelVersion = 1;

/** By what one knows whether something would be worked out from the same again. */
export const madeOf = (spread: ClubSpread, ...parts: readonly unknown[]): string =>
  createHash('sha256')
    .update(JSON.stringify([modelVersion, spread, ...parts]))
    .digest('base64');

/** A series up to one of its sessions, and what is asked of it. */
export interface AskedSeries extends Pick<Series, 'technique' | 'checkpointId' | 'rung'> {
  traineeId: string;
  /** At least one. */
  looks: SessionLook[];
  question: Question;
}

/** What a trainee does where they strike; what they do where they hold. */
type Part = 'strikes' | 'holds';
/** The series of a trainee, of one part or of both. @param wanted leaves out what is not asked for */
export async function seriesOfTrainee(db: Database, traineeId: string, wanted: AskedTallies, part?: Part): Promise<Series[]> {
  const all = seriesOf(await talliesOfTrainee(db, traineeId, wanted));
  return part ? all.filter(({ technique }) => (technique === holdingTechnique) === (part === 'holds')) : all;
}

/** A day before which nothing tells anything any more of what is asked since this day. */
export const toldSince = (day: string): string => dayAfter(day, -toldBefore);
const toldBefore = 180;

/** A series as it stood after a session; none where it was not looked at in it. */
export const seriesAt = (all: readonly Series[], sessionId: string): Series[] =>
  all.map((series) => ({ ...series, looks: upTo(series.looks, sessionId) })).filter(({ looks }) => looks.length > 0);

const keyOf = (
  { traineeId, technique, checkpointId, rung }: Omit<AskedSeries, 'looks' | 'question'>,
  sessionId: string,
): string => [traineeId, technique, checkpointId, rung, sessionId].join(' ');

/** Answers to questions, in their order. What was worked out before from the same is not worked out again. */
export async function answersTo(db: Database, asked: readonly AskedSeries[]): Promise<Answer[]> {
  if (asked.length === 0) return [];
  const spread = await spreadNow(db);
  const wanted = asked.map((one) => ({
    ...one,
    sessionId: one.looks.at(-1)!.sessionId,
    madeOf: madeOf(spread, one.question, one.looks),
  }));
  const kept = await db
    .select()
    .from(levelAnswer)
    .where(
      and(
        inArray(levelAnswer.traineeId, [...new Set(wanted.map(({ traineeId }) => traineeId))]),
        inArray(levelAnswer.sessionId, [...new Set(wanted.map(({ sessionId }) => sessionId))]),
      ),
    );
  const known = new Map(kept.map((row) => [`${keyOf(row, row.sessionId)} ${row.madeOf}`, row.answer]));
  const keyed = wanted.map((one) => ({ ...one, key: `${keyOf(one, one.sessionId)} ${one.madeOf}` }));
  const open = keyed.filter(({ key }) => !known.has(key));
  if (open.length > 0) {
    const answers = await heavily('levelAnswers', { spread, asked: open.map(({ looks, question }) => ({ looks, ...question })) });
    for (const [place, { key }] of open.entries()) known.set(key, answers[place]!);
    const rows = open.map(({ looks: _, question: __, key, ...row }) => ({ ...row, answer: known.get(key)! }));
    await db
      .insert(levelAnswer)
      .values(rows)
      .onConflictDoUpdate({
        target: [levelAnswer.traineeId, levelAnswer.technique, levelAnswer.checkpointId, levelAnswer.rung, levelAnswer.sessionId],
        set: { madeOf: sql`excluded.made_of`, answer: sql`excluded.answer` },
      });
  }
  return keyed.map(({ key }) => known.get(key)!);
}
