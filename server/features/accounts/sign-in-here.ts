import type { Request } from 'express';
import type { Database } from '../../db/connection.ts';
import type { SignedIn } from '../../http/sign-in.ts';
import { writeAtDoor } from '../journal/queries.ts';

/** Longer than this no browser has to say what it is. */
const mostLetters = 300;

/** Signs somebody in with this browser: as a new sign-in, so that a planted cookie is worth nothing. */
export async function signInHere(db: Database, request: Request, { id, email, name, role }: SignedIn): Promise<SignedIn> {
  await new Promise<void>((resolve, reject) =>
    request.session.regenerate((error: Error | null) => (error ? reject(error) : resolve())),
  );
  request.session.account = { id, email, name, role };
  request.session.since = new Date().toISOString();
  request.session.browser = (request.get('user-agent') ?? '').slice(0, mostLetters);
  await writeAtDoor(db, id, 'signed-in');
  return request.session.account;
}
