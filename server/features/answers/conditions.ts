import type { ComparedLevels } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import { fewestSeen, isAbout, openingOf, tellingLooks, type Look, type Series } from '@wax-fist/core/correction';
import { seen } from '@wax-fist/core/review';
import { holdingTechnique } from '@wax-fist/core/technique';
import { sum } from 'd3-array';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, observation, round, strike, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { timesSaid } from '../review/tallies.ts';
import { seriesOfTrainee } from './answers.ts';
import { spreadNow } from './learned-spread.ts';

type Pair = Pick<ComparedLevels, 'correctionId' | 'condition'> & {
  rungs: [number, number];
  looks: readonly [first: readonly Look[], second: readonly Look[]];
};

/** How the open corrections of a trainee stand when tired, and from rung to rung; what was hardly seen is left out. */
export async function conditionsOf(db: Database, traineeId: string): Promise<ComparedLevels[]> {
  const open = await correctionsOf(db, and(isOpen, eq(correction.traineeId, traineeId)));
  const striking = open.filter(({ technique }) => technique !== holdingTechnique);
  if (striking.length === 0) return [];
  const series = await seriesOfTrainee(db, traineeId, { about: striking });
  const tired = await Promise.all(striking.map((one) => tiredPairs(db, one)));
  const pairs = [...tired.flat(), ...striking.flatMap((one) => rungPairs(one, series))].filter(({ looks }) =>
    looks.every((list) => sum(list, ({ tally }) => seen(tally)) >= fewestSeen),
  );
  if (pairs.length === 0) return [];
  const compared = await heavily('levelsCompared', { spread: await spreadNow(db), pairs: pairs.map(({ looks }) => looks) });
  return pairs.map(({ looks, ...pair }, place) => ({
    ...pair,
    ...compared[place]!,
    seen: looks.map((list) => sum(list, ({ tally }) => seen(tally))),
  }));
}

/** From each rung to the next one at which it was looked at since it was opened. */
function rungPairs({ id: correctionId, openedOn, ...about }: Correction, all: readonly Series[]): Pair[] {
  const own = all
    .filter(isAbout(about))
    .map(({ rung, looks }) => ({ rung, looks: tellingLooks(looks, openingOf(looks, openedOn)).looks }))
    .sort((a, b) => a.rung - b.rung);
  return own.slice(1).map(({ rung, looks }, place): Pair => {
    const easier = own[place]!;
    return { correctionId, condition: 'rung', rungs: [easier.rung, rung], looks: [easier.looks, looks] };
  });
}

/**
 * When in its round a strike landed, from 0 to 1: of the whole film where it has no rounds. Frames are taken as evenly spread, which
 * is near enough for thirds.
 */
const landedAt = sql`${strike.contactFrame}::float / nullif(${film.frames} - 1, 0) * ${film.duration}`;
const part = sql<number>`(${landedAt} - coalesce(${round.startsAt}, 0)) / nullif(coalesce(${round.endsAt}, ${film.duration}) - coalesce(${round.startsAt}, 0), 0)`;

/** The first and the last thirds of rounds at the rung at which it is worked on, since it was opened. */
async function tiredPairs(
  db: Database,
  { id: correctionId, traineeId, technique, checkpointId, openedOn, rung }: Correction,
): Promise<Pair[]> {
  const rows = await db
    .select({
      last: sql<boolean>`${part} >= 2.0 / 3`.as('last'),
      heldOn: trainingSession.heldOn,
      view: observation.view,
      clean: timesSaid('clean'),
      watch: timesSaid('watch'),
      fault: timesSaid('fault'),
    })
    .from(trainingSession)
    .innerJoin(film, eq(film.sessionId, trainingSession.id))
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false), eq(strike.technique, technique)))
    .innerJoin(
      observation,
      and(
        eq(observation.strikeId, strike.id),
        eq(observation.checkpointId, checkpointId),
        eq(observation.superseded, false),
        inArray(observation.verdict, ['clean', 'watch', 'fault']),
      ),
    )
    .leftJoin(round, and(eq(round.filmId, film.id), sql`${landedAt} between ${round.startsAt} and ${round.endsAt}`))
    .where(
      and(
        eq(trainingSession.traineeId, traineeId),
        eq(trainingSession.rung, rung),
        sql`${trainingSession.heldOn} >= ${openedOn}`,
        sql`(${part} < 1.0 / 3 or ${part} >= 2.0 / 3)`,
        // What landed between rounds was thrown neither fresh nor tired.
        sql`(${round.id} is not null or not exists (select 1 from ${round} other where other.film_id = ${film.id}))`,
      ),
    )
    .groupBy(sql`last`, trainingSession.id, trainingSession.heldOn, observation.view)
    .orderBy(asc(trainingSession.heldOn), asc(trainingSession.id));
  // Two cameras show the same strikes: the one that shows it more often tells.
  const views = [...new Set(rows.map(({ view }) => view))];
  const often = (view: string): number => sum(rows, (row) => (row.view === view ? row.clean + row.watch + row.fault : 0));
  const [best] = views.sort((a, b) => often(b) - often(a));
  const looks = (last: boolean): Look[] =>
    rows
      .filter((row) => row.view === best && row.last === last)
      .map(({ heldOn, clean, watch, fault }) => ({ heldOn, tally: { clean, watch, fault, cantSee: 0 } }));
  return [{ correctionId, condition: 'tired', rungs: [rung, rung], looks: [looks(false), looks(true)] }];
}
