import { ownEndpoints } from '@wax-fist/contract/own';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { ownReviewOf, ownTraineesOf } from './queries.ts';

export function ownRoutes(router: Router, { db }: Services): void {
  serve(router, ownEndpoints.ownTrainees, ({ account }) => ownTraineesOf(db, account.id));
  serve(router, ownEndpoints.ownReview, ({ params }) => ownReviewOf(db, params.sessionId));
}
