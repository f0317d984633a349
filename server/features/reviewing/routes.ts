import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import type { Router } from 'express';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { pairsOfCheckpoints, quarrelsOver } from './agreement.ts';
import { effortOf, tellEffort } from './effort.ts';
import { askSecondCoach, coachesOf, filmsToMarkBlind, markedByAssistants, secondCoachDone } from './second-marking.ts';

export function reviewingRoutes(router: Router, { db }: Services): void {
  serve(router, reviewingEndpoints.listCoaches, () => coachesOf(db));
  serve(router, reviewingEndpoints.askSecondCoach, ({ params, body, account }) =>
    askSecondCoach(db, params.filmId, body.coachId, account.id),
  );
  serve(router, reviewingEndpoints.markedByAssistants, () => markedByAssistants(db));
  serve(router, reviewingEndpoints.secondCoachDone, ({ params, account }) => secondCoachDone(db, params.filmId, account.id));
  serve(router, reviewingEndpoints.filmsToMarkBlind, ({ account }) => filmsToMarkBlind(db, account.id));
  serve(router, reviewingEndpoints.agreement, () => pairsOfCheckpoints(db));
  serve(router, reviewingEndpoints.quarrels, ({ params }) => quarrelsOver(db, params.checkpoint));
  serve(router, reviewingEndpoints.tellEffort, ({ params, body, account }) => {
    sameId(params.effortId, body.id);
    return tellEffort(db, params.filmId, account.id, body);
  });
  serve(router, reviewingEndpoints.effort, () => effortOf(db));
}
