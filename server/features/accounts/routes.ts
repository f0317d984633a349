import { accountEndpoints } from '@wax-fist/contract/accounts';
import { eq } from 'drizzle-orm';
import type { RequestHandler, Router } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import { account } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import { cookieName } from '../../http/sign-in.ts';
import type { Services } from '../../services.ts';
import { passwordFits } from './passwords.ts';

/** Wrong passwords in a quarter of an hour for one address from one machine. */
const triesAllowed = 10;

/** Counted in this process; several servers behind one address need a shared store. */
const slowDown = (): RequestHandler =>
  rateLimit({
    windowMs: 15 * 60 * 1000,
    limit: triesAllowed,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: ({ ip, body }) => {
      const email: unknown = (body as { email?: unknown } | undefined)?.email;
      return `${ipKeyGenerator(ip ?? '')} ${typeof email === 'string' ? email.trim().toLowerCase().slice(0, 200) : ''}`;
    },
    handler: () => {
      throw new Refusal(429, 'Too many wrong passwords. Wait a quarter of an hour, then try again.');
    },
  });

export function accountRoutes(router: Router, { db }: Services): void {
  router.post(accountEndpoints.signIn.path, slowDown());
  serve(router, accountEndpoints.signIn, async ({ body, request }) => {
    const [known] = await db.select().from(account).where(eq(account.email, body.email));
    if (!(await passwordFits(known?.passwordHash, body.password))) {
      throw new Refusal(401, 'This e-mail address and password do not belong together.');
    }
    const { id, email, name, role } = known!;
    await new Promise<void>((resolve, reject) =>
      request.session.regenerate((error: Error | null) => (error ? reject(error) : resolve())),
    );
    request.session.account = { id, email, name, role };
    return request.session.account;
  });
  serve(router, accountEndpoints.signOut, async ({ request, response }) => {
    await new Promise<void>((resolve) => request.session.destroy(() => resolve()));
    response.clearCookie(cookieName);
  });
  serve(router, accountEndpoints.me, ({ account: me }) => me);
}
