import { reviewEndpoints } from '@wax-fist/contract/review';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { film, strike } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { serve, serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { judgedOf, talliesOfTrainee } from '../measures/counted-tallies.ts';
import { marksBlind } from '../reviewing/second-marking.ts';
import { markDesk } from './mark-desk.ts';
import { historyOf, reviewOf } from './queries.ts';

export function reviewRoutes(router: Router, { db }: Services): void {
  serveKept(router, reviewEndpoints.showReview, async ({ params, account }) => {
    const asked = { blind: marksBlind(account.id) };
    const { blind } = found(await db.select(asked).from(film).where(eq(film.id, params.filmId)), 'film');
    return reviewOf(db, params.filmId, blind ? account.id : undefined);
  });
  const writeMarks = markDesk(db);
  serve(router, reviewEndpoints.writeMarks, ({ params, body, account }) => writeMarks(params.filmId, body.marks, account.id));
  serve(router, reviewEndpoints.strikeHistory, async ({ params }) => {
    found(await db.select({ id: strike.id }).from(strike).where(eq(strike.id, params.strikeId)), 'strike');
    return historyOf(db, params.strikeId);
  });
  serveKept(router, reviewEndpoints.traineeTallies, ({ params, query }) => talliesOfTrainee(db, params.traineeId, query));
  serveKept(router, reviewEndpoints.traineeJudged, ({ params }) => judgedOf(db, params.traineeId));
}
