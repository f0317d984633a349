import { compareEndpoints } from '@wax-fist/contract/compare';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { comparedStrike, counterpartsOf } from './queries.ts';

export function compareRoutes(router: Router, { db }: Services): void {
  serve(router, compareEndpoints.comparedStrike, ({ params }) => comparedStrike(db, params.strikeId));
  serve(router, compareEndpoints.counterparts, ({ params }) => counterpartsOf(db, params.strikeId));
}
