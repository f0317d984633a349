import type { Together } from '@wax-fist/core/correction';
import { causesIn, shippedCatalogue } from '@wax-fist/core/technique';
import { and, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { film, observation, strike, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { catalogueAt } from '../checklists/versions.ts';

const effect = alias(observation, 'effect');
/** What is either clean or a fault; a watch is neither for certain. */
const isClear = (one: typeof observation | typeof effect): SQL =>
  and(eq(one.superseded, false), eq(one.subject, 'trainee'), inArray(one.verdict, ['clean', 'fault']))!;
const how = (cause: string, effects: string) =>
  sql<number>`count(*) filter (where ${observation.verdict} = ${cause} and ${effect.verdict} = ${effects})::int`;

/** How often causes and what they may bring about were faults on the same strikes. @throws Refusal when there is no such session */
export async function faultsTogether(db: Database, sessionId: string): Promise<Together[]> {
  const session = found(
    await db
      .select({ checklistVersion: trainingSession.checklistVersion })
      .from(trainingSession)
      .where(eq(trainingSession.id, sessionId)),
    'session',
  );
  const catalogue = (await catalogueAt(db, session.checklistVersion)) ?? shippedCatalogue;
  const rows = await db
    .select({
      technique: strike.technique,
      cause: observation.checkpointId,
      effect: effect.checkpointId,
      both: how('fault', 'fault'),
      onlyCause: how('fault', 'clean'),
      onlyEffect: how('clean', 'fault'),
      neither: how('clean', 'clean'),
    })
    .from(film)
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
    .innerJoin(observation, and(eq(observation.strikeId, strike.id), isClear(observation)))
    .innerJoin(
      effect,
      and(eq(effect.strikeId, strike.id), ne(effect.checkpointId, observation.checkpointId), isClear(effect as never)),
    )
    .where(eq(film.sessionId, sessionId))
    .groupBy(strike.technique, observation.checkpointId, effect.checkpointId);
  return rows.filter(
    ({ technique, cause, effect: brought }) =>
      catalogue.techniques.has(technique) && causesIn(catalogue, technique, brought).some(({ id }) => id === cause),
  );
}
