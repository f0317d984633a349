import type { Manner } from '@wax-fist/core/words';
import type { Request } from 'express';
import type { Database } from '../../db/connection.ts';
import type { account } from '../../db/schema/index.ts';
import type { SignedIn } from '../../http/sign-in.ts';
import { isDue } from '../second-factor/demand.ts';
import { writeAtDoor } from '../journal/queries.ts';

type AccountRow = Pick<typeof account.$inferSelect, 'id' | 'email' | 'name' | 'role' | keyof Manner>;

/** How somebody reads, as it stands with their account. */
const mannerOf = ({ units, days, clock, decimals }: Manner): Manner => ({ units, days, clock, decimals });

/** Longer than this no browser has to say what it is. */
const mostLetters = 300;

/** Signs somebody in with this browser: as a new sign-in, so that a planted cookie is worth nothing. */
export async function signInHere(db: Database, request: Request, row: AccountRow): Promise<SignedIn> {
  const { id, email, name, role } = row;
  await new Promise<void>((resolve, reject) =>
    request.session.regenerate((error: Error | null) => (error ? reject(error) : resolve())),
  );
  request.session.account = { id, email, name, role, manner: mannerOf(row), secondFactorDue: await isDue(db, row) };
  request.session.since = new Date().toISOString();
  request.session.browser = (request.get('user-agent') ?? '').slice(0, mostLetters);
  await writeAtDoor(db, id, 'signed-in');
  return request.session.account;
}
