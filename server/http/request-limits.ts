import type { Request, RequestHandler, Response } from 'express';
import type { Pool } from 'pg';
import { RateLimiterMemory, RateLimiterRes, type RateLimiterAbstract } from 'rate-limiter-flexible';
import { limiterIn } from '../db/limiter.ts';
import { Refusal } from './refusal.ts';

const minute = 60;

/** How often may be asked: far more than a coach does, and fewer than it takes to keep a server busy. Seconds. */
export const requestLimits = {
  /** Whoever is signed in, of each server process: to count every request in the database would cost more than most of them. */
  account: { points: 6000, duration: minute },
  /** A machine from which nobody is signed in. */
  stranger: { points: 300, duration: minute },
  /** What a server works at for long: archives, montages, papers. By account. */
  costly: { points: 60, duration: 10 * minute },
} as const;

export interface RequestLimits {
  /** Counts every request. @throws Refusal when there were too many */
  countAll: RequestHandler;
  /** Counts what costs much. @throws Refusal when there was too much */
  countCostly: (accountId: string, response: Response) => Promise<void>;
}

/** Nobody is held back: for benches and tests that ask as fast as they can. */
export const noLimits: RequestLimits = {
  countAll: (_request, _response, next) => next(),
  countCostly: () => Promise.resolve(),
};

/** @throws Refusal that says how long to wait */
async function counted(limiter: RateLimiterAbstract, key: string, response: Response): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const seconds = Math.ceil(error.msBeforeNext / 1000);
    response.set('Retry-After', String(seconds));
    const wait = seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / minute)} minutes`;
    throw new Refusal(429, `This was asked for too often. Wait ${wait}, then go on.`);
  }
}

/** Limits that several servers share, counted in the database, but for the widest. */
export function requestLimitsIn(pool: Pool): RequestLimits {
  const shared = (keyPrefix: 'stranger' | 'costly'): RateLimiterAbstract => {
    const limit = requestLimits[keyPrefix];
    // Whoever is over costs the database nothing more.
    return limiterIn(pool, 'request_count', { keyPrefix, inMemoryBlockOnConsumed: limit.points + 1, ...limit });
  };
  const [accounts, strangers, costly] = [new RateLimiterMemory(requestLimits.account), shared('stranger'), shared('costly')];
  const whoAsks = (request: Request): [RateLimiterAbstract, string] => {
    const id = request.session.account?.id;
    return id ? [accounts, id] : [strangers, request.ip ?? ''];
  };
  return {
    countAll: async (request, response, next) => {
      await counted(...whoAsks(request), response);
      next();
    },
    countCostly: (accountId, response) => counted(costly, accountId, response),
  };
}
