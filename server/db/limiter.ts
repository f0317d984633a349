import type { Pool } from 'pg';
import { RateLimiterPostgres } from 'rate-limiter-flexible';

/**
 * Counts in a table of the database, so that several servers count together and a restart forgets nothing. What ran out an hour ago is
 * swept every five minutes. Seconds.
 */
export const limiterIn = (
  pool: Pool,
  tableName: 'sign_in_try' | 'request_count',
  options: { keyPrefix: string; points: number; duration: number; inMemoryBlockOnConsumed?: number },
): RateLimiterPostgres => new RateLimiterPostgres({ storeClient: pool, tableName, tableCreated: true, ...options });
