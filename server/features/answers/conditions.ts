import type { ComparedLevels } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import {
  clusteredTally,
  fewestSeen,
  isAbout,
  likenessInCombinations,
  openingOf,
  tellingLooks,
  type Compared,
  type Look,
  type Series,
  type StrikeInCombination,
} from '@wax-fist/core/correction';
import { seen } from '@wax-fist/core/review';
import { usualGap } from '@wax-fist/core/rounds';
import { holdingTechnique } from '@wax-fist/core/technique';
import { group, sum } from 'd3-array';
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { landedAt, leads } from '../../db/of-film.ts';
import { comparedLevel, correction, film, observation, round, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { madeOf, seriesOfTrainee } from './answers.ts';
import { spreadNow } from './learned-spread.ts';

type Pair = Pick<ComparedLevels, 'correctionId' | 'condition'> & {
  rungs: [number, number];
  looks: readonly [first: readonly Look[], second: readonly Look[]];
};

/** How the open corrections of a trainee stand when tired, with the other foot in front, and from rung to rung; what was hardly seen is left out. */
export async function conditionsOf(db: Database, traineeId: string): Promise<ComparedLevels[]> {
  const open = await correctionsOf(db, and(isOpen, eq(correction.traineeId, traineeId)));
  const striking = open.filter(({ technique }) => technique !== holdingTechnique);
  if (striking.length === 0) return [];
  const series = await seriesOfTrainee(db, traineeId, { about: striking });
  const ofStrikes = await Promise.all(striking.map((one) => strikePairs(db, one)));
  const pairs = [...ofStrikes.flat(), ...striking.flatMap((one) => rungPairs(one, series))].filter(({ looks }) =>
    looks.every((list) => sum(list, ({ tally }) => seen(tally)) >= fewestSeen),
  );
  const compared = await comparedOnce(db, pairs);
  return pairs.map(({ looks, ...pair }, place) => ({
    ...pair,
    ...compared[place]!,
    seen: looks.map((list) => sum(list, ({ tally }) => seen(tally))),
  }));
}

const keyOf = ({ correctionId, condition, rungs: [first, second] }: Omit<Pair, 'looks'>, of: string): string =>
  [correctionId, condition, first, second, of].join(' ');

/** Levels held against each other, in the order of the pairs; what was worked out before from the same is not worked out again. */
async function comparedOnce(db: Database, pairs: readonly Pair[]): Promise<Compared[]> {
  if (pairs.length === 0) return [];
  const spread = await spreadNow(db);
  const wanted = pairs.map(({ looks, ...pair }) => {
    const madeOfLooks = madeOf(spread, looks);
    return { ...pair, looks, madeOf: madeOfLooks, key: keyOf(pair, madeOfLooks) };
  });
  const ids = [...new Set(pairs.map(({ correctionId }) => correctionId))];
  const kept = await db.select().from(comparedLevel).where(inArray(comparedLevel.correctionId, ids));
  const known = new Map(
    kept.map(({ firstRung, secondRung, ...row }) => [
      keyOf({ ...row, rungs: [firstRung, secondRung] }, row.madeOf),
      row.compared,
    ]),
  );
  const open = wanted.filter(({ key }) => !known.has(key));
  if (open.length > 0) {
    const compared = await heavily('levelsCompared', { spread, pairs: open.map(({ looks }) => looks) });
    const rows = open.map(({ key, correctionId, condition, rungs: [firstRung, secondRung], madeOf: of }, place) => {
      known.set(key, compared[place]!);
      return { correctionId, condition, firstRung, secondRung, madeOf: of, compared: compared[place]! };
    });
    await db
      .insert(comparedLevel)
      .values(rows)
      .onConflictDoUpdate({
        target: [comparedLevel.correctionId, comparedLevel.condition, comparedLevel.firstRung, comparedLevel.secondRung],
        set: { madeOf: sql`excluded.made_of`, compared: sql`excluded.compared` },
      });
  }
  return wanted.map(({ key }) => known.get(key)!);
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

const hasRounds = sql`exists (select 1 from ${round} other where other.film_id = ${film.id})`;
/**
 * When in its round a strike landed, from 0 to 1: of the whole film where it has no rounds; null between rounds, where it was thrown
 * neither fresh nor tired.
 */
const part = sql<number | null>`case
  when ${round.id} is not null then (${landedAt} - ${round.startsAt}) / (${round.endsAt} - ${round.startsAt})
  when not ${hasRounds} then ${landedAt} / nullif(${film.duration}, 0) end`;
/** So many of the latest sessions tell how somebody stands under a condition; what was before tells of then. */
const sessionsTelling = 12;

/** Every strike that was judged at the rung at which a correction is worked on, in the latest sessions since it was opened, oldest first. */
async function strikesSinceOpened(db: Database, { traineeId, technique, checkpointId, openedOn, rung }: Correction) {
  const lately = db
    .select({ id: trainingSession.id })
    .from(trainingSession)
    .where(
      and(
        eq(trainingSession.traineeId, traineeId),
        eq(trainingSession.rung, rung),
        sql`${trainingSession.heldOn} >= ${openedOn}`,
      ),
    )
    .orderBy(desc(trainingSession.heldOn), desc(trainingSession.id))
    .limit(sessionsTelling);
  const asked = inArray(trainingSession.id, lately);
  // A strike begins a combination unless another one, of whatever technique, landed shortly before it.
  const landed = db
    .select({
      id: strike.id,
      begins:
        sql<number>`case when ${landedAt} - lag(${landedAt}) over (partition by ${strike.filmId} order by ${strike.contactFrame}, ${strike.id}) < ${usualGap} then 0 else 1 end`.as(
          'begins',
        ),
      filmId: sql<string>`${strike.filmId}`.as('of_film'),
      contactFrame: sql<number>`${strike.contactFrame}`.as('contact'),
    })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(asked, eq(strike.removed, false)))
    .as('landed');
  const thrown = db
    .select({
      id: landed.id,
      combination:
        sql<string>`${landed.filmId} || ' ' || sum(${landed.begins}) over (partition by ${landed.filmId} order by ${landed.contactFrame}, ${landed.id})`.as(
          'combination',
        ),
    })
    .from(landed)
    .as('thrown');
  const rows = await db
    .select({
      sessionId: trainingSession.id,
      heldOn: trainingSession.heldOn,
      view: observation.view,
      verdict: sql<StrikeInCombination['verdict']>`${observation.verdict}`,
      part,
      combination: thrown.combination,
      otherLead: sql<boolean>`${leads} <> ${trainee.stance}`,
    })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
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
    .innerJoin(thrown, eq(thrown.id, strike.id))
    .where(asked)
    .orderBy(asc(trainingSession.heldOn), asc(trainingSession.id));
  // Two cameras show the same strikes: the one that shows it more often tells.
  const byView = [...group(rows, ({ view }) => view).values()];
  return byView.reduce<typeof rows>((best, list) => (list.length > best.length ? list : best), []);
}
type JudgedStrike = Awaited<ReturnType<typeof strikesSinceOpened>>[number];

/** Under which conditions strikes of the same days are held against each other: where each belongs, 0 or 1; undefined where to neither. */
const sides: Readonly<Record<'tired' | 'lead', (one: JudgedStrike) => 0 | 1 | undefined>> = {
  tired: ({ part: at }) => (at === null ? undefined : at < 1 / 3 ? 0 : at >= 2 / 3 ? 1 : undefined),
  lead: ({ otherLead }) => (otherLead ? 1 : 0),
};

/** The first thirds of rounds against the last ones, and the usual foot in front against the other. */
async function strikePairs(db: Database, correction: Correction): Promise<Pair[]> {
  const strikes = await strikesSinceOpened(db, correction);
  const { id: correctionId, rung } = correction;
  return (['tired', 'lead'] as const).map((condition): Pair => {
    const days = ([0, 1] as const).map((side) => [
      ...group(
        strikes.filter((one) => sides[condition](one) === side),
        ({ sessionId }) => sessionId,
      ).values(),
    ]);
    const likeness = likenessInCombinations(days.flat());
    const looks = (side: 0 | 1): Look[] =>
      days[side]!.map((day) => ({ heldOn: day[0]!.heldOn, tally: clusteredTally(day, likeness) }));
    return { correctionId, condition, rungs: [rung, rung], looks: [looks(0), looks(1)] };
  });
}
