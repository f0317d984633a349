import type { Request } from 'express';
import { RateLimiterRes, type RateLimiterPostgres } from 'rate-limiter-flexible';
import type { Pool } from 'pg';
import { limiterIn } from '../../db/limiter.ts';
import { Refusal } from '../../http/refusal.ts';

const minute = 60;
const hour = 60 * minute;
const day = 24 * hour;

/** Wrong passwords for one address of the club from one machine, for any of them from one machine, and for one from anywhere. */
const limits = {
  both: { points: 10, duration: 15 * minute },
  machine: { points: 60, duration: 15 * minute },
  account: { points: 60, duration: hour },
} as const;
/** Where somebody has signed in once, they are known for so long: strangers who guess elsewhere do not lock them out. */
const knownFor = 90 * day;

/** A password or code that was given and is wrong: whoever asked for it counts it. */
export class WrongGuess extends Refusal {
  constructor(status: number, message: string, field?: string) {
    super(status, message, field === undefined ? undefined : [{ field, message }]);
  }
}

export interface SlowDown {
  /** @throws Refusal when too many wrong passwords came before */
  mayTry: (email: string, machine: string) => Promise<void>;
  wasWrong: (email: string, machine: string) => Promise<void>;
  wasRight: (email: string, machine: string) => Promise<void>;
}

/** Slows guessing down, counted in the database: several servers count together, and a restart forgets nothing. */
export function slowDownIn(pool: Pool): SlowDown {
  const counting = (keyPrefix: string, limit: { points: number; duration: number }): RateLimiterPostgres =>
    limiterIn(pool, 'sign_in_try', { keyPrefix, ...limit });
  const both = counting('both', limits.both);
  const machines = counting('machine', limits.machine);
  const accounts = counting('account', limits.account);
  const known = counting('known', { points: 1_000_000, duration: knownFor });
  const isOver = async (limiter: RateLimiterPostgres, key: string): Promise<boolean> => {
    const counted = await limiter.get(key);
    return counted !== null && counted.consumedPoints >= limiter.points;
  };
  const keys = (email: string, machine: string) => ({
    pair: `${machine} ${email}`.slice(0, 220),
    email: email.slice(0, 220),
    machine,
  });
  /** One more than allowed is no failure here: it is told at the next try. */
  const count = (limiter: RateLimiterPostgres, key: string): Promise<unknown> =>
    limiter.consume(key).catch((error: unknown) => {
      if (!(error instanceof RateLimiterRes)) throw error;
    });
  return {
    async mayTry(email, machine) {
      const key = keys(email, machine);
      const [pair, one, all, isKnown] = await Promise.all([
        isOver(both, key.pair),
        isOver(machines, key.machine),
        isOver(accounts, key.email),
        known.get(key.pair),
      ]);
      if (pair || (isKnown === null && (one || all)))
        throw new Refusal(429, 'Too many wrong passwords or codes. Wait a quarter of an hour, then try again.');
    },
    async wasWrong(email, machine) {
      const key = keys(email, machine);
      await Promise.all([count(both, key.pair), count(machines, key.machine), count(accounts, key.email)]);
    },
    async wasRight(email, machine) {
      const key = keys(email, machine);
      await Promise.all([both.delete(key.pair), count(known, key.pair)]);
    },
  };
}

/** Does something that may be guessed at, and counts it when it was. @throws Refusal, also when too many were wrong before */
export async function counting<T>(
  guesses: SlowDown,
  email: string,
  { ip }: Pick<Request, 'ip'>,
  doing: () => Promise<T>,
): Promise<T> {
  const machine = ip ?? '';
  await guesses.mayTry(email, machine);
  try {
    return await doing();
  } catch (error) {
    if (error instanceof WrongGuess) await guesses.wasWrong(email, machine);
    throw error;
  }
}
