import { sql } from 'drizzle-orm';
import { account } from './schema/index.ts';

/** Whose word it is, of an account that is joined where it is still there. */
export const saidByName = sql<string>`coalesce(${account.name}, 'someone who left')`;
