import { lastOfSet, testLeads, type CalledRound, type Course, type MustHave, type TestLead } from '@wax-fist/core/syllabus';
import type { TallyOfSession } from '@wax-fist/core/correction';
import { thrownAs, type Catalogue, type TechniqueId } from '@wax-fist/core/technique';
import type { Ms } from '@wax-fist/core/units';
import { group } from 'd3-array';
import { and, asc, eq, gte, inArray, lte, ne, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { landedAt, leads } from '../../db/of-film.ts';
import { film, observation, round, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { timesSaid } from '../review/tallies.ts';

/** Which sessions are looked at. */
export interface Days {
  from: string;
  to?: string | undefined;
}
const within = (traineeId: string, { from, to }: Days) =>
  and(
    eq(trainingSession.traineeId, traineeId),
    gte(trainingSession.heldOn, from),
    to === undefined ? undefined : lte(trainingSession.heldOn, to),
  );
/** Which foot was in front in a film, of the trainee’s own. */
const lead = sql<TestLead>`case when ${leads} = ${trainee.stance} then 'usual' else 'other' end`;

/** Rounds in which something was called and strikes were tagged, oldest first, by which foot was in front. */
export async function calledRounds(
  db: Database,
  traineeId: string,
  days: Days,
  catalogue: Catalogue,
): Promise<Record<TestLead, CalledRound[]>> {
  const rows = await db
    .select({
      roundId: round.id,
      day: trainingSession.heldOn,
      planned: round.planned,
      lead,
      technique: strike.technique,
      part: strike.part,
      time: landedAt,
    })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .innerJoin(film, eq(film.sessionId, trainingSession.id))
    .innerJoin(round, and(eq(round.filmId, film.id), ne(round.planned, '')))
    .innerJoin(
      strike,
      and(eq(strike.filmId, film.id), eq(strike.removed, false), sql`${landedAt} between ${round.startsAt} and ${round.endsAt}`),
    )
    .where(within(traineeId, days))
    .orderBy(asc(trainingSession.heldOn), asc(round.startsAt), asc(strike.contactFrame));
  const called: Record<TestLead, CalledRound[]> = { usual: [], other: [] };
  for (const strikes of group(rows, ({ roundId }) => roundId).values()) {
    const { day, planned, lead: foot } = strikes[0]!;
    const thrown = strikes.map((one): { technique: TechniqueId; time: Ms } => ({
      technique: thrownAs(catalogue, one),
      time: one.time,
    }));
    called[foot].push({ day, planned, thrown });
  }
  return called;
}

/** How each set of a course went when it was last thrown in a film. */
export function setsInFilms(
  { sets }: Pick<Course, 'sets'>,
  rounds: Readonly<Record<TestLead, readonly CalledRound[]>>,
  catalogue: Catalogue,
) {
  return sets.flatMap((set) =>
    testLeads.flatMap((foot) => {
      const look = lastOfSet(set, rounds[foot], catalogue);
      return look ? [{ setId: set.id, lead: foot, look }] : [];
    }),
  );
}

/** What coaches said of must-haves, by session, view and which foot was in front; oldest session first. */
export async function talliesByLead(
  db: Database,
  traineeId: string,
  mustHaves: readonly Pick<MustHave, 'technique' | 'checkpointId'>[],
  days: Days,
): Promise<(TallyOfSession & { lead: TestLead })[]> {
  if (mustHaves.length === 0) return [];
  const rows = await db
    .select({
      sessionId: trainingSession.id,
      heldOn: trainingSession.heldOn,
      rung: trainingSession.rung,
      technique: strike.technique,
      checkpointId: observation.checkpointId,
      view: observation.view,
      lead,
      clean: timesSaid('clean'),
      watch: timesSaid('watch'),
      fault: timesSaid('fault'),
      cantSee: timesSaid('cant-see'),
    })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .innerJoin(film, eq(film.sessionId, trainingSession.id))
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
    .innerJoin(observation, and(eq(observation.strikeId, strike.id), eq(observation.superseded, false)))
    .where(
      and(
        within(traineeId, days),
        eq(observation.subject, 'trainee'),
        inArray(strike.technique, [...new Set(mustHaves.map(({ technique }) => technique))]),
        inArray(observation.checkpointId, [...new Set(mustHaves.map(({ checkpointId }) => checkpointId))]),
      ),
    )
    .groupBy(trainingSession.id, strike.technique, observation.checkpointId, observation.view, sql`${leads} = ${trainee.stance}`)
    .orderBy(asc(trainingSession.heldOn), asc(trainingSession.id));
  return rows.map(({ clean, watch, fault, cantSee, ...row }) => ({ ...row, tally: { clean, watch, fault, cantSee } }));
}
