import type { Sight } from '@wax-fist/contract/endpoint';
import type { Database } from '../../db/connection.ts';
import { writeSeen } from './queries.ts';

const hour = 3_600_000;
/** What this process has written in this hour, so that a film that is played in pieces asks the database once. */
const written = new Set<string>();
let since = 0;

/** Writes down that something was seen, before it is shown. @param accountId null for whoever had only a link */
export async function noteSeen(
  db: Database,
  accountId: string | null,
  { kind }: Pick<Sight, 'kind'>,
  thing: string,
): Promise<void> {
  const now = Math.floor(Date.now() / hour);
  if (now !== since) written.clear();
  since = now;
  const key = `${accountId ?? ''} ${kind} ${thing}`;
  if (written.has(key)) return;
  await writeSeen(db, accountId, kind, thing);
  written.add(key);
}
