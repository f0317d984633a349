import { readyBooks } from '@wax-fist/core/calls';
import { readySchools } from '@wax-fist/core/technique';
import { sql } from 'drizzle-orm';
import type { Database } from './connection.ts';
import { callBook, school } from './schema/index.ts';

/** Puts in, and keeps up to date, the call books and schools that ship. The first of each is the club's until it chooses. */
export async function addReadyMade(db: Database): Promise<void> {
  for (const { id, ...book } of readyBooks) {
    const row = { ...book, ready: true };
    await db
      .insert(callBook)
      .values({ id, ...row })
      .onConflictDoUpdate({ target: callBook.id, set: row });
  }
  const chosen = await db
    .select({ id: school.id })
    .from(school)
    .where(sql`${school.clubDefault}`);
  for (const [place, { id, ...one }] of readySchools.entries()) {
    const row = { ...one, ready: true };
    await db
      .insert(school)
      .values({ id, bookId: readyBooks[0].id, clubDefault: place === 0 && chosen.length === 0, ...row })
      .onConflictDoUpdate({ target: school.id, set: row });
  }
}
