import type { Role } from '@wax-fist/contract/endpoint';
import type { SecondFactorDemand } from '@wax-fist/contract/second-factor';
import { asc, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { secondFactorDemand } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import type { SignedIn } from '../../http/sign-in.ts';
import { secondFactorOf } from './second-factor.ts';

/** Of which roles the club demands a second factor. */
export async function demandOf(db: Database): Promise<SecondFactorDemand> {
  const rows = await db.select().from(secondFactorDemand).orderBy(asc(secondFactorDemand.role));
  return { roles: rows.map(({ role }) => role) };
}

/** Whether the club demands a second factor of a role. */
export const isDemanded = async (db: Database, role: Role): Promise<boolean> =>
  (await db.$count(secondFactorDemand, eq(secondFactorDemand.role, role))) > 0;

/** Whether somebody has none although the club demands one. */
export const isDue = async (db: Database, { id, role }: Pick<SignedIn, 'id' | 'role'>): Promise<boolean> =>
  (await isDemanded(db, role)) && (await secondFactorOf(db, id)).since === null;

/** From now on it is demanded of these roles and of no others. @throws Refusal for one’s own role before one has one */
export async function saveDemand(db: Database, { roles }: SecondFactorDemand, by: SignedIn): Promise<SecondFactorDemand> {
  if (roles.includes(by.role) && (await secondFactorOf(db, by.id)).since === null)
    throw new Refusal(409, 'Set up your own second factor first: you would be locked out of your own club.');
  await db.transaction(async (tx) => {
    const kept = roles.length > 0 ? sql`${secondFactorDemand.role} not in ${roles}` : sql`true`;
    await tx.delete(secondFactorDemand).where(kept);
    if (roles.length > 0)
      await tx
        .insert(secondFactorDemand)
        .values([...new Set(roles)].map((role) => ({ role })))
        .onConflictDoNothing();
  });
  return demandOf(db);
}
