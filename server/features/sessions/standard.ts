import type { JudgedBy } from '@wax-fist/contract/schools';
import { eq, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { school } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { newestVersion } from '../checklists/versions.ts';

/** By what a session is judged: a school as it is now, and a version of the checklists. */
export interface Standard {
  judgedBy: JudgedBy;
  checklistVersion: number;
}

export async function schoolNow(db: Database, which: SQL): Promise<JudgedBy> {
  const { name, choices, bookId } = found(await db.select().from(school).where(which), 'school');
  return { name, choices, bookId };
}

/** The trainee's own school, or else the club's, with the newest checklists. */
export const standardFor = async (db: Database, schoolId: string | null): Promise<Standard> => ({
  judgedBy: await schoolNow(db, schoolId ? eq(school.id, schoolId) : eq(school.clubDefault, true)),
  checklistVersion: await newestVersion(db),
});
