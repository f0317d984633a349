import { sql } from 'drizzle-orm';
import { check, text, type AnyPgColumn, type CheckBuilder } from 'drizzle-orm/pg-core';

/**
 * Text that holds one of a list. With `isListed` beside it the database refuses anything else; unlike an enum of PostgreSQL, such
 * a list grows, and shrinks, with a check that is replaced. A list that only this program writes to, and that may be ahead of the
 * database or behind it, goes without the check.
 */
export const listed = <const List extends readonly [string, ...string[]]>(list: List) => text({ enum: list });

/** Holds a column to its list. */
export const isListed = (name: string, column: AnyPgColumn, list: readonly string[]): CheckBuilder =>
  check(name, sql`${column} in (${sql.raw(list.map((one) => `'${one.replaceAll("'", "''")}'`).join(', '))})`);
