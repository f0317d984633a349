import { getTableName, inArray, max, sql, type SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { account, checklistVersion } from '../../db/schema/index.ts';
import { firstBorrowed } from '../checklists/versions.ts';
import { fromJson, toJson, type JsonRow, type Row } from './as-json.ts';
import { columnsOf, keyOf, referencesOf, type RecordKind, type Reference } from './records.ts';

/** What became of the rows of a kind. */
export interface Taken {
  added: number;
  changed: number;
  same: number;
  refused: number;
}
/** Somebody refused, and why. */
export interface Reason {
  name: string;
  key: string;
  says: string;
}
export interface Tables {
  db: Database;
  /** Whether the archive wins where something is here already and differs. */
  archiveWins: boolean;
  /** The numbers that checklists have here, by those that they have in the archive. */
  versions: Map<number, number>;
  refuse: (reason: Reason) => void;
  /** Told of each column in which somebody stands who is not here. */
  without: (column: string, ids: readonly string[]) => void;
}

const keyText = (row: JsonRow, keys: readonly { name: string }[]): string => keys.map(({ name }) => String(row[name])).join(' ');
/** The same whatever the order of its fields. */
const settled = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );

/** Which of some values are keys of rows that are here. */
async function known(db: Database, { to, key }: Reference, values: readonly unknown[]): Promise<Set<unknown>> {
  if (values.length === 0) return new Set();
  const rows = (await db
    .select({ key })
    .from(to as never)
    .where(inArray(key, values as never[]))) as { key: unknown }[];
  return new Set(rows.map((row) => row.key));
}

/** Rows that may be taken: what refers to nothing is refused, or told without it where it may be. */
async function referring(kind: RecordKind, rows: readonly JsonRow[], { db, refuse, without }: Tables): Promise<JsonRow[]> {
  let left = rows.map((row) => ({ ...row }));
  for (const reference of referencesOf(kind.table)) {
    const { column, to } = reference;
    const { name } = column;
    const wanted = [...new Set(left.map((row) => row[name] as string | number | null | undefined))].filter(
      (value) => value !== null && value !== undefined,
    );
    const there = await known(db, reference, wanted);
    const missing = wanted.filter((value) => !there.has(value));
    if (missing.length === 0) continue;
    const gone = new Set<unknown>(missing);
    if (to === account) without(`${kind.name}.${name}`, missing as string[]);
    if (column.column.notNull) {
      for (const row of left.filter((one) => gone.has(one[name])))
        refuse({
          name: kind.name,
          key: keyText(row, keyOf(kind.table)),
          says:
            to === account
              ? 'It is said by somebody who has no account here, and has to be by somebody.'
              : `It belongs to a ${getTableName(to).replaceAll('_', ' ')} that is neither here nor in the archive.`,
        });
      left = left.filter((row) => !gone.has(row[name]));
    } else for (const row of left) if (gone.has(row[name])) row[name] = null;
  }
  return left;
}

/** Rows that are here with these keys, by their keys. */
async function standing(db: Database, { table }: RecordKind, rows: readonly JsonRow[]): Promise<Map<string, Row>> {
  const [keys, columns] = [keyOf(table), columnsOf(table)];
  const values = rows.map(
    (row) =>
      sql`(${sql.join(
        keys.map(({ name, column }) => sql`${row[name]}::${sql.raw(column.getSQLType())}`),
        sql`, `,
      )})`,
  );
  const isOne = sql`(${sql.join(
    keys.map(({ column }) => sql`${column}`),
    sql`, `,
  )}) in (${sql.join(values, sql`, `)})`;
  const found = (await db
    .select()
    .from(table as never)
    .where(isOne)) as Row[];
  return new Map(found.map((row) => [keyText(toJson(keys, row), keys), toJson(columns, row)]));
}

/** In which fields a row of the archive differs from the one that is here; one that it does not have yet is none of them. */
const differsIn = ({ table, anew }: RecordKind, row: JsonRow, here: JsonRow): string[] =>
  columnsOf(table)
    .map(({ name }) => name)
    .filter((name) => name in row && !anew.includes(name) && settled(row[name]) !== settled(here[name]));

const whereKey = (table: PgTable, row: JsonRow): SQL =>
  sql.join(
    keyOf(table).map(({ name, column }) => sql`${column} = ${row[name]}::${sql.raw(column.getSQLType())}`),
    sql` and `,
  );

/** What is worked out anew is left to the database. */
const withoutAnew = ({ anew }: RecordKind, row: Row): Row =>
  Object.fromEntries(Object.entries(row).filter(([name]) => !anew.includes(name)));

/** Takes rows of one kind over. They have been checked against their schema. */
export async function takeRows(kind: RecordKind, all: readonly JsonRow[], tables: Tables): Promise<Taken> {
  const { db, archiveWins, refuse } = tables;
  const { table, name } = kind;
  const [keys, columns] = [keyOf(table), columnsOf(table)];
  const rows = await referring(
    kind,
    all.map((row) => renumbered(row, tables.versions)),
    tables,
  );
  const taken: Taken = { added: 0, changed: 0, same: 0, refused: all.length - rows.length };
  const here = rows.length === 0 ? new Map<string, Row>() : await standing(db, kind, rows);
  const fresh: JsonRow[] = [];
  for (const row of rows) {
    const key = keyText(row, keys);
    const found = here.get(key);
    const differs = found && differsIn(kind, row, found);
    if (!differs) fresh.push(row);
    else if (differs.length === 0) taken.same++;
    else if (archiveWins && !kind.grows) {
      await db
        .update(table)
        .set(withoutAnew(kind, fromJson(columns, row)))
        .where(whereKey(table, row));
      taken.changed++;
    } else {
      taken.refused++;
      const stays = kind.grows ? 'What was said once does not change.' : 'It stays as it is here.';
      refuse({ name, key, says: `It is here already and differs (${differs.join(', ')}). ${stays}` });
    }
  }
  if (fresh.length === 0) return taken;
  const written = (await db
    .insert(table)
    .values(fresh.map((row) => withoutAnew(kind, fromJson(columns, row))) as never)
    .onConflictDoNothing()
    .returning()) as Row[];
  const in_ = new Set(written.map((row) => keyText(toJson(keys, row), keys)));
  taken.added += written.length;
  for (const row of fresh) {
    const key = keyText(row, keys);
    if (in_.has(key)) continue;
    taken.refused++;
    refuse({ name, key, says: 'Something that is here stands in its place, such as an open correction of the same thing.' });
  }
  return taken;
}

/** Refers to checklists by the numbers that they have here. */
const renumbered = (row: JsonRow, versions: ReadonlyMap<number, number>): JsonRow =>
  typeof row.checklistVersion === 'number'
    ? { ...row, checklistVersion: versions.get(row.checklistVersion) ?? row.checklistVersion }
    : row;

/**
 * Takes checklists over. What is the same here has its number here; what this club never had gets a number apart, so that it is never
 * taken for the club's newest.
 */
export async function takeChecklists(rows: readonly JsonRow[], { db, versions }: Tables): Promise<Taken> {
  const taken: Taken = { added: 0, changed: 0, same: 0, refused: 0 };
  const here = await db.select({ version: checklistVersion.version, edits: checklistVersion.edits }).from(checklistVersion);
  const byEdits = new Map(here.map(({ version, edits }) => [settled(edits), version]));
  const byNumber = new Map(here.map(({ version, edits }) => [version, settled(edits)]));
  const [last] = await db.select({ version: max(checklistVersion.version) }).from(checklistVersion);
  let next = Math.max(firstBorrowed, (last?.version ?? 0) + 1);
  for (const row of rows) {
    const number = row.version as number;
    const edits = settled(row.edits);
    // Checklists that were taken back are the same as earlier ones: of those with the same number here, that is the one.
    const own = byNumber.get(number) === edits ? number : byEdits.get(edits);
    if (own !== undefined) {
      versions.set(number, own);
      taken.same++;
      continue;
    }
    await db.insert(checklistVersion).values({
      version: next,
      edits: row.edits as never,
      note: String(row.note),
      savedAt: new Date(String(row.savedAt)),
    });
    byEdits.set(edits, next);
    versions.set(number, next++);
    taken.added++;
  }
  return taken;
}
