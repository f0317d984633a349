import { accountEndpoints } from '@wax-fist/contract/accounts';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { account } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import { cookieName } from '../../http/sign-in.ts';
import type { Services } from '../../services.ts';
import { writeAtDoor } from '../journal/queries.ts';
import { signInHere } from './sign-in-here.ts';
import { passwordFits } from './passwords.ts';
import { counting, slowDownIn } from './slow-down.ts';
import { requireSecondFactor } from '../second-factor/second-factor.ts';

export function accountRoutes(router: Router, { db, pool }: Services): void {
  const guesses = slowDownIn(pool);
  serve(router, accountEndpoints.signIn, async ({ body, request }) => {
    const machine = request.ip ?? '';
    await guesses.mayTry(body.email, machine);
    const [known] = await db.select().from(account).where(eq(account.email, body.email));
    if (!(await passwordFits(known?.passwordHash, body.password))) {
      await guesses.wasWrong(body.email, machine);
      if (known) await writeAtDoor(db, known.id, 'wrong-password');
      throw new Refusal(401, 'This e-mail address and password do not belong together.');
    }
    await counting(guesses, body.email, request, () => requireSecondFactor(db, known!.id, body.code));
    await guesses.wasRight(body.email, machine);
    return signInHere(db, request, known!);
  });
  serve(router, accountEndpoints.signOut, async ({ request, response }) => {
    const { account: me } = request.session;
    await new Promise<void>((resolve) => request.session.destroy(() => resolve()));
    response.clearCookie(cookieName);
    if (me) await writeAtDoor(db, me.id, 'signed-out');
  });
  serve(router, accountEndpoints.me, ({ account: me }) => me);
}
