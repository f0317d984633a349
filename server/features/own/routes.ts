import { ownEndpoints } from '@wax-fist/contract/own';
import type { Router } from 'express';
import { serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { ownReviewOf, ownTraineesOf, shownReviewsTo } from './queries.ts';

export function ownRoutes(router: Router, { db }: Services): void {
  serveKept(router, ownEndpoints.ownTrainees, ({ account }) => ownTraineesOf(db, account.id));
  serveKept(router, ownEndpoints.ownReview, ({ params, account }) => ownReviewOf(db, account.id, params.sessionId));
  serveKept(router, ownEndpoints.shownReviews, ({ account }) => shownReviewsTo(db, account.id));
}
