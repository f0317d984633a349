import { compareEndpoints } from '@wax-fist/contract/compare';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { comparedStrike, counterpartsOf, typicalStrike } from './queries.ts';

export function compareRoutes(router: Router, { db }: Services): void {
  serve(router, compareEndpoints.comparedStrike, ({ params, account }) => comparedStrike(db, params.strikeId, account.id));
  serve(router, compareEndpoints.counterparts, ({ params, account }) => counterpartsOf(db, params.strikeId, account.id));
  serve(router, compareEndpoints.typicalStrike, ({ params, query, account }) =>
    typicalStrike(db, { ...params, ...query, accountId: account.id }),
  );
}
