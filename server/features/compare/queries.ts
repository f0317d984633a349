import type { ComparedStrike, Counterpart, counterpartKinds } from '@wax-fist/contract/compare';
import { mirroredTechnique } from '@wax-fist/core/technique';
import type { Verdict } from '@wax-fist/core/review';
import { and, desc, eq, ne, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { leads } from '../../db/of-film.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { film, observation, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { marksBlind } from '../reviewing/second-marking.ts';
import { asFilm, filmColumns } from '../footage/queries.ts';

const counting = sql`from ${observation} as said where said.strike_id = ${strike}.id and not said.superseded`;
const times = (verdicts: SQL) => sql<number>`(select count(*)::int ${counting} and said.verdict in (${verdicts}))`;

/**
 * A strike with all that it takes to hold it against another one. Who marks its film blind is not told what was said of it.
 * @throws Refusal when it is not there
 */
export async function comparedStrike(db: Database, strikeId: string, accountId: string): Promise<ComparedStrike> {
  const rows = await db
    .select({
      strikeId: strike.id,
      technique: strike.technique,
      part: strike.part,
      ...momentColumns,
      film: filmColumns,
      traineeId: trainee.id,
      traineeName: trainee.name,
      heldOn: trainingSession.heldOn,
      rung: trainingSession.rung,
      stance: leads,
      checklistVersion: trainingSession.checklistVersion,
      blind: marksBlind(accountId),
      verdicts: sql<{ checkpointId: string; verdict: Verdict }[]>`coalesce((select json_agg(json_build_object(
        'checkpointId', said.checkpoint_id, 'verdict', said.verdict)) ${counting} and said.verdict is not null), '[]')`,
    })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(and(eq(strike.id, strikeId), eq(strike.removed, false)));
  const { blind, verdicts, ...row } = found(rows, 'strike');
  return { ...row, film: asFilm(row.film), verdicts: blind ? [] : verdicts };
}

/** With what a strike is compared most often; what there is not is left out. @throws Refusal when the strike is not there */
export async function counterpartsOf(db: Database, strikeId: string, accountId: string): Promise<Counterpart[]> {
  const own = await comparedStrike(db, strikeId, accountId);
  const part = sql`${strike.part} is not distinct from ${own.part}::smallint`;
  const sameThing = and(eq(strike.technique, own.technique), part)!;
  const otherTechnique = mirroredTechnique(own.technique);
  const lastDay = desc(trainingSession.heldOn);
  const share = sql`${strike.contactFrame}::float / nullif(${film.frames}, 0)`;
  const asked: Record<(typeof counterpartKinds)[number], { where: SQL; first: SQL[] }> = {
    // The one at about the same place of its film: as fresh, or as tired.
    'last-time': {
      where: and(
        sameThing,
        eq(film.view, own.film.view),
        sql`${leads} = ${own.stance}`,
        sql`(${trainingSession.heldOn}, ${trainingSession.id}) < (${own.heldOn}::date, ${own.film.sessionId}::uuid)`,
      )!,
      first: [
        lastDay,
        desc(trainingSession.id),
        sql`abs(${share} - ${own.contactFrame}::float / nullif(${own.film.frames}::int, 0))`,
      ],
    },
    cleanest: {
      where: and(
        sameThing,
        eq(film.view, own.film.view),
        sql`${leads} = ${own.stance}`,
        sql`${times(sql`'clean'`)} > 0`,
        sql`${times(sql`'fault', 'watch'`)} = 0`,
      )!,
      first: [desc(times(sql`'clean'`)), lastDay],
    },
    // The same with the other foot in front; else what the other hand, or leg, does as well.
    'other-side': {
      where: and(
        part,
        otherTechnique === undefined
          ? sql`${strike.technique} = ${own.technique} and ${leads} <> ${own.stance}`
          : sql`(${strike.technique} = ${own.technique} and ${leads} <> ${own.stance} or ${strike.technique} = ${otherTechnique} and ${leads} = ${own.stance})`,
      )!,
      first: [desc(sql`${leads} <> ${own.stance}`), desc(sql`${film.view} = ${own.film.view}`), lastDay],
    },
  };
  const kinds = Object.entries(asked) as [Counterpart['kind'], { where: SQL; first: SQL[] }][];
  const answers = await Promise.all(
    kinds.map(async ([kind, { where, first }]) => {
      const [one] = await db
        .select({ strikeId: strike.id, technique: strike.technique, heldOn: trainingSession.heldOn })
        .from(trainingSession)
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .innerJoin(film, and(eq(film.sessionId, trainingSession.id), eq(film.state, 'ready')))
        .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
        .where(and(eq(trainee.id, own.traineeId), ne(strike.id, strikeId), where))
        .orderBy(...first, strike.id)
        .limit(1);
      return one ? [{ kind, ...one }] : [];
    }),
  );
  return answers.flat();
}
