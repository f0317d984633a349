import type { MeasureAgreement } from '@wax-fist/contract/measures';
import { agreementOf, saidTwice, tooCoarse } from '@wax-fist/core/measure';
import { isMeasureId, type BandVerdict } from '@wax-fist/core/technique';
import { groups } from 'd3-array';
import { and, count, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { account, countedMeasure, film, observation, strike, strikeMeasure, trainingSession } from '../../db/schema/index.ts';
import { bandsFor, judgedStrike } from './bands.ts';
import { filmsToMeasure, measureStrikes } from './measure-films.ts';
import { measuredAbout } from './session-measures.ts';

/** So many of a club's newest judgements tell how well a measure does here. */
const mostJudged = 20_000;
/** So many films are measured before an answer is given; whoever wants the others asks again. */
const filmsAtOnce = 2;

/** How well each measure goes along with the club's coaches, and how many films are not measured yet. */
export async function measureAgreements(db: Database): Promise<{ measures: MeasureAgreement[]; left: number }> {
  const waiting = await filmsToMeasure(db);
  const now = waiting.slice(0, filmsAtOnce);
  if (now.length > 0) await measureStrikes(db, inArray(film.id, now));
  const [measured, counted, judged] = await Promise.all([
    db
      .select({ checkpointId: strikeMeasure.checkpointId, measured: count() })
      .from(strikeMeasure)
      .innerJoin(strike, and(eq(strike.id, strikeMeasure.strikeId), eq(strike.removed, false)))
      .groupBy(strikeMeasure.checkpointId),
    db
      .select({ checkpointId: countedMeasure.checkpointId, by: account.name })
      .from(countedMeasure)
      .leftJoin(account, eq(account.id, countedMeasure.saidBy)),
    judgedAndMeasured(db),
  ]);
  const bandOf = await bandsFor(db, judged);
  const agreements = new Map(
    groups(judged, ({ checkpointId }) => checkpointId).map(([checkpointId, rows]) => {
      const said = rows.flatMap((row) => {
        const band = bandOf(row, checkpointId);
        return band ? [{ ...saidTwice(band, row.verdict, row.value), coarse: tooCoarse(band, row.doubt) }] : [];
      });
      return [checkpointId, { ...agreementOf(said), coarse: said.filter(({ coarse }) => coarse).length > said.length / 2 }];
    }),
  );
  const countedBy = new Map(counted.map((row) => [row.checkpointId, row]));
  // On what is told beside a row no verdict hangs, so there is nothing to agree with.
  const ids = [...new Set([...measured, ...counted].map(({ checkpointId }) => checkpointId))]
    .filter((id) => !isMeasureId(id))
    .sort();
  const howMany = new Map(measured.map((row) => [row.checkpointId, row.measured]));
  const measures = ids.map((checkpointId) => {
    const agreement = agreements.get(checkpointId);
    return {
      checkpointId,
      counts: countedBy.has(checkpointId),
      coarse: agreement?.coarse ?? false,
      by: countedBy.get(checkpointId)?.by ?? null,
      measured: howMany.get(checkpointId) ?? 0,
      strikes: agreement?.strikes ?? 0,
      ...{ same: agreement?.same ?? null, kappa: agreement?.kappa ?? null, bias: agreement?.bias ?? null },
    };
  });
  return { measures, left: waiting.length - now.length };
}

/** Strikes of which a coach has said something that was measured as well, from the film in which it was. */
const judgedAndMeasured = (db: Database) =>
  db
    .select({
      checkpointId: strikeMeasure.checkpointId,
      value: strikeMeasure.value,
      doubt: strikeMeasure.doubt,
      verdict: sql<BandVerdict>`${observation.verdict}`,
      ...judgedStrike,
      ...measuredAbout,
    })
    .from(observation)
    .innerJoin(
      strikeMeasure,
      and(eq(strikeMeasure.strikeId, observation.strikeId), eq(strikeMeasure.checkpointId, observation.checkpointId)),
    )
    .innerJoin(strike, eq(strike.id, observation.strikeId))
    .innerJoin(film, and(eq(film.id, strike.filmId), eq(film.view, observation.view)))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(
      and(
        eq(observation.superseded, false),
        eq(strike.removed, false),
        inArray(observation.verdict, ['clean', 'watch', 'fault']),
      ),
    )
    .orderBy(desc(observation.saidAt))
    .limit(mostJudged);
