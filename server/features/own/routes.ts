import { ownEndpoints } from '@wax-fist/contract/own';
import type { Router } from 'express';
import { serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { ownReviewOf, ownTraineesOf } from './queries.ts';

export function ownRoutes(router: Router, { db }: Services): void {
  serveKept(router, ownEndpoints.ownTrainees, ({ account }) => ownTraineesOf(db, account.id));
  serveKept(router, ownEndpoints.ownReview, ({ params }) => ownReviewOf(db, params.sessionId));
}
