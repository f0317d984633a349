import { accountEndpoints } from '@wax-fist/contract/accounts';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { account } from '../../db/schema/index.ts';
import { serve } from '../../http/serve.ts';
import { cookieName } from '../../http/sign-in.ts';
import type { Services } from '../../services.ts';
import { writeAtDoor } from '../journal/queries.ts';
import { signInHere } from './sign-in-here.ts';
import { passwordFits } from './passwords.ts';
import { counting, slowDownIn, WrongGuess } from './slow-down.ts';
import { requireSecondFactor } from '../second-factor/second-factor.ts';

export function accountRoutes(router: Router, { db, pool }: Services): void {
  const guesses = slowDownIn(pool);
  serve(router, accountEndpoints.signIn, async ({ body, request }) => {
    const known = await counting(guesses, body.email, request, async () => {
      const [one] = await db.select().from(account).where(eq(account.email, body.email));
      if (!(await passwordFits(one?.passwordHash, body.password))) {
        if (one) await writeAtDoor(db, one.id, 'wrong-password');
        throw new WrongGuess(401, 'This e-mail address and password do not belong together.');
      }
      await requireSecondFactor(db, one!.id, body.code);
      return one!;
    });
    await guesses.wasRight(body.email, request.ip ?? '');
    return signInHere(db, request, known);
  });
  serve(router, accountEndpoints.signOut, async ({ request, response }) => {
    const { account: me } = request.session;
    await new Promise<void>((resolve) => request.session.destroy(() => resolve()));
    response.clearCookie(cookieName);
    if (me) await writeAtDoor(db, me.id, 'signed-out');
  });
  serve(router, accountEndpoints.me, ({ account: me }) => me);
  serve(router, accountEndpoints.saveManner, async ({ body, account: me }) => {
    await db.update(account).set(body).where(eq(account.id, me.id));
    return body;
  });
}
