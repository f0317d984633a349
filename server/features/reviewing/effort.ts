import type { Effort, EffortWeek } from '@wax-fist/contract/reviewing';
import { sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { landedAt } from '../../db/of-film.ts';
import { film, observation, reviewEffort, round, strike } from '../../db/schema/index.ts';

/** So many weeks are told, the present one last. */
const weeksTold = 12;
const firstWork = Date.UTC(2020, 0, 1);
const monday = (at: unknown) => sql`date_trunc('week', ${at})::date`;
const firstMonday = sql`(date_trunc('week', now())::date - ${7 * (weeksTold - 1)}::int)`;

/** Keeps a stretch of work; sent twice it counts once. Of a film that is gone there is nothing to keep. */
export async function tellEffort(
  db: Database,
  filmId: string,
  saidBy: string,
  { id, at, worked, presses }: Effort,
): Promise<void> {
  // A browser whose clock is wrong must not work in the future, nor before there was anything to review.
  const [now, told] = [Date.now(), Date.parse(at)];
  const when = new Date(Number.isNaN(told) ? now : Math.max(firstWork, Math.min(now, told)));
  const known = await db
    .select({ id: film.id })
    .from(film)
    .where(sql`${film.id} = ${filmId}`);
  if (known.length > 0)
    await db.insert(reviewEffort).values({ id, filmId, saidBy, at: when, worked, presses }).onConflictDoNothing();
}

/** What reviewing cost week by week, and what came of it; weeks without work are there as well. */
export async function effortOf(db: Database): Promise<EffortWeek[]> {
  const { rows } = await db.execute<Record<keyof EffortWeek, unknown>>(sql`
    with weeks as (
      select (${firstMonday} + 7 * week)::date as monday from generate_series(0, ${weeksTold - 1}::int) week
    ), spent as (
      select ${monday(reviewEffort.at)} as monday, sum(${reviewEffort.worked}) as worked, sum(${reviewEffort.presses})::int as presses
      from ${reviewEffort} where ${reviewEffort.at} >= ${firstMonday} group by 1
    ), said as (
      select ${monday(observation.saidAt)} as monday, ${strike.filmId} as film_id, ${observation.strikeId} as strike_id,
        ${observation.verdict} as verdict, ${observation.proposed} as proposed,
        ${landedAt} as landed_at
      from ${observation}
      join ${strike} on ${strike.id} = ${observation.strikeId}
      join ${film} on ${film.id} = ${strike.filmId}
      where ${observation.saidAt} >= ${firstMonday} and ${observation.verdict} is not null and not ${observation.superseded}
    ), came as (
      select said.monday,
        count(distinct said.strike_id)::int as strikes,
        count(distinct coalesce(${round.id}, said.film_id))::int as rounds,
        count(said.proposed)::int as proposed,
        (count(*) filter (where said.proposed = said.verdict))::int as accepted
      from said
      left join ${round} on ${round.filmId} = said.film_id and said.landed_at between ${round.startsAt} and ${round.endsAt}
      group by 1
    )
    select weeks.monday::text, coalesce(worked, 0)::float as worked, coalesce(presses, 0) as presses,
      coalesce(rounds, 0) as rounds, coalesce(strikes, 0) as strikes,
      coalesce(proposed, 0) as proposed, coalesce(accepted, 0) as accepted
    from weeks left join spent using (monday) left join came using (monday)
    order by weeks.monday`);
  return rows as unknown as EffortWeek[];
}
