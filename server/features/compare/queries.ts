import type { ComparedStrike, Counterpart, counterpartKinds, TypicalStrike } from '@wax-fist/contract/compare';
import { mirroredTechnique } from '@wax-fist/core/technique';
import type { Verdict } from '@wax-fist/core/review';
import { and, desc, eq, inArray, ne, not, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { leads } from '../../db/of-film.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { consent, film, observation, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { clubDay } from '../sessions/club-day.ts';
import { marksBlind } from '../reviewing/second-marking.ts';
import { asFilm, filmColumns } from '../footage/queries.ts';

const counting = sql`from ${observation} as said where said.strike_id = ${strike}.id and not said.superseded`;
/** Whether a trainee has agreed to be shown to others, by the word that counts on a day: the last one, if it has not ended. */
const mayBeShownOn = (
  day: string,
) => sql`coalesce((select word.as_reference and word.withdrawn_at is null and coalesce(word.until, ${day}::date) >= ${day}::date
  from ${consent} as word where word.trainee_id = ${trainee}.id and word.given_on <= ${day}::date
  order by word.given_on desc, word.id desc limit 1), false)`;
const wasSaid = (verdicts: SQL): SQL => sql`exists (select 1 ${counting} and said.verdict in (${verdicts}))`;
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
  const isOwn = eq(trainee.id, own.traineeId);
  const seenAlike = and(sameThing, eq(film.view, own.film.view), sql`${leads} = ${own.stance}`);
  const isClean = and(wasSaid(sql`'clean'`), not(wasSaid(sql`'fault', 'watch'`)));
  const cleanFirst = [desc(times(sql`'clean'`)), lastDay];
  const share = sql`${strike.contactFrame}::float / nullif(${film.frames}, 0)`;
  const asked: Record<(typeof counterpartKinds)[number], { where: SQL; first: SQL[] }> = {
    // The one at about the same place of its film: as fresh, or as tired.
    'last-time': {
      where: and(
        isOwn,
        seenAlike,
        sql`(${trainingSession.heldOn}, ${trainingSession.id}) < (${own.heldOn}::date, ${own.film.sessionId}::uuid)`,
      )!,
      first: [
        lastDay,
        desc(trainingSession.id),
        sql`abs(${share} - ${own.contactFrame}::float / nullif(${own.film.frames}::int, 0))`,
      ],
    },
    cleanest: { where: and(isOwn, seenAlike, isClean)!, first: cleanFirst },
    'somebody-else': {
      where: and(ne(trainee.id, own.traineeId), mayBeShownOn(clubDay()), seenAlike, isClean)!,
      first: cleanFirst,
    },
    // The same with the other foot in front; else what the other hand, or leg, does as well.
    'other-side': {
      where: and(
        isOwn,
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
        .select({ strikeId: strike.id, technique: strike.technique, heldOn: trainingSession.heldOn, traineeName: trainee.name })
        .from(trainingSession)
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .innerJoin(film, and(eq(film.sessionId, trainingSession.id), eq(film.state, 'ready')))
        .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
        .where(and(ne(strike.id, strikeId), where))
        .orderBy(...first, strike.id)
        .limit(1);
      return one ? [{ kind, ...one }] : [];
    }),
  );
  return answers.flat();
}

/**
 * A strike that shows how something mostly was in a session: the first one of those with the verdict that was said most often. Films that
 * whoever asks marks blind tell nothing. Null where nothing was said.
 */
export async function typicalStrike(
  db: Database,
  asked: { sessionId: string; technique: string; checkpointId: string; accountId: string },
): Promise<TypicalStrike | null> {
  const [one] = await db
    .select({ strikeId: strike.id, filmId: film.id, verdict: observation.verdict })
    .from(observation)
    .innerJoin(strike, and(eq(strike.id, observation.strikeId), eq(strike.removed, false)))
    .innerJoin(film, and(eq(film.id, strike.filmId), eq(film.state, 'ready'), not(marksBlind(asked.accountId))))
    .where(
      and(
        eq(film.sessionId, asked.sessionId),
        eq(strike.technique, asked.technique),
        eq(observation.checkpointId, asked.checkpointId),
        eq(observation.superseded, false),
        inArray(observation.verdict, ['clean', 'watch', 'fault']),
      ),
    )
    .orderBy(
      desc(sql`count(*) over (partition by ${observation.verdict})`),
      film.addedAt,
      film.id,
      strike.contactFrame,
      strike.id,
    )
    .limit(1);
  return one ? { ...one, verdict: one.verdict! } : null;
}
