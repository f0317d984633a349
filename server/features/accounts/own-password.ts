import { eq } from 'drizzle-orm';
import type { Request } from 'express';
import type { Database } from '../../db/connection.ts';
import { account } from '../../db/schema/index.ts';
import type { SignedIn } from '../../http/sign-in.ts';
import { passwordFits } from './passwords.ts';
import { counting, WrongGuess, type SlowDown } from './slow-down.ts';

/** Asks somebody who is signed in for their password again. @throws Refusal when it is wrong, or when too many were */
export const requireOwnPassword = (
  db: Database,
  guesses: SlowDown,
  { id, email }: SignedIn,
  request: Pick<Request, 'ip'>,
  current: string,
): Promise<void> =>
  counting(guesses, email, request, async () => {
    const [known] = await db.select().from(account).where(eq(account.id, id));
    if (!(await passwordFits(known?.passwordHash, current))) throw new WrongGuess(422, 'This is not your password.', 'current');
  });
