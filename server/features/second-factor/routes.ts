import { secondFactorEndpoints } from '@wax-fist/contract/second-factor';
import type { Router } from 'express';
import { found, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { requireOwnPassword } from '../accounts/own-password.ts';
import { counting, slowDownIn } from '../accounts/slow-down.ts';
import { endSignIns } from '../people/sign-ins.ts';
import { newSecret } from './codes.ts';
import { demandOf, isDemanded, saveDemand } from './demand.ts';
import { removeSecondFactor, secondFactorOf, takeSecret } from './second-factor.ts';

declare module 'express-session' {
  interface SessionData {
    /** A secret that an app was told, until a code of it comes. */
    offeredSecret?: string;
  }
}

export function secondFactorRoutes(router: Router, { db, pool }: Services): void {
  const guesses = slowDownIn(pool);
  serve(router, secondFactorEndpoints.mySecondFactor, async ({ account: me }) => ({
    ...(await secondFactorOf(db, me.id)),
    demanded: await isDemanded(db, me.role),
  }));
  serve(router, secondFactorEndpoints.showSecondFactorDemand, () => demandOf(db));
  serve(router, secondFactorEndpoints.saveSecondFactorDemand, ({ body, account: me }) => saveDemand(db, body, me));
  serve(router, secondFactorEndpoints.offerSecondFactor, async ({ body: { current }, account: me, request }) => {
    await requireOwnPassword(db, guesses, me, request, current);
    const offered = await newSecret(me.email);
    request.session.offeredSecret = offered.secret;
    return offered;
  });
  serve(router, secondFactorEndpoints.takeSecondFactor, async ({ body: { code }, account: me, request }) => {
    const { offeredSecret } = request.session;
    if (!offeredSecret) throw new Refusal(409, 'Begin again: this browser was not told a secret.');
    const codes = await counting(guesses, me.email, request, () => takeSecret(db, me.id, offeredSecret, code));
    delete request.session.offeredSecret;
    await endSignIns(db, me.id, { but: request.sessionID });
    return { codes };
  });
  serve(router, secondFactorEndpoints.leaveSecondFactor, async ({ body: { current }, account: me, request }) => {
    await requireOwnPassword(db, guesses, me, request, current);
    if (await isDemanded(db, me.role)) throw new Refusal(409, 'Your club asks for a second factor: it cannot be left.');
    await removeSecondFactor(db, me.id);
  });
  serve(router, secondFactorEndpoints.takeOffSecondFactor, async ({ params: { personId } }) => {
    found(await removeSecondFactor(db, personId), 'second factor');
    await endSignIns(db, personId);
  });
}
