import { todayEndpoints } from '@wax-fist/contract/today';
import type { Router } from 'express';
import { serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { filmsToReview } from './queries.ts';

export function todayRoutes(router: Router, { db }: Services): void {
  serveKept(router, todayEndpoints.filmsToReview, ({ query }) => filmsToReview(db, query.after));
}
