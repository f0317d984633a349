import { sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';

/** A foreign key: rows of `child` point at rows of `parent`. */
interface Pointer {
  child: string;
  columns: string[];
  parent: string;
  parentColumns: string[];
  /** Whether the row goes with what it points at, or loses where it pointed. */
  goes: boolean;
}

/** Every foreign key of the database that does something when what it points at goes. */
async function pointersOf(db: Database): Promise<Pointer[]> {
  const names = (table: SQL, columns: SQL) =>
    sql`(select json_agg(attname order by place) from unnest(${columns}) with ordinality as named(number, place)
      join pg_attribute on attrelid = ${table} and attnum = number)`;
  const { rows } = await db.execute<Pointer & Record<string, unknown>>(sql`
    select conrelid::regclass::text as child, confrelid::regclass::text as parent, confdeltype = 'c' as goes,
      ${names(sql`conrelid`, sql`conkey`)} as columns, ${names(sql`confrelid`, sql`confkey`)} as "parentColumns"
    from pg_constraint where contype = 'f' and confdeltype in ('c', 'n') and connamespace = 'public'::regnamespace`);
  return rows;
}

/** The columns by which a row of each table is known. */
async function keysOf(db: Database): Promise<Map<string, string[]>> {
  const { rows } = await db.execute<{ name: string; columns: string[] }>(sql`
    select conrelid::regclass::text as name, (select json_agg(attname) from unnest(conkey) as number
      join pg_attribute on attrelid = conrelid and attnum = number) as columns
    from pg_constraint where contype = 'p' and connamespace = 'public'::regnamespace`);
  return new Map(rows.map(({ name, columns }) => [name, columns]));
}

const named = (columns: readonly string[], table?: string): SQL =>
  sql.join(
    columns.map((column) => (table ? sql`${sql.identifier(table)}.${sql.identifier(column)}` : sql.identifier(column))),
    sql`, `,
  );
const asObject = (columns: readonly string[]): SQL =>
  sql`jsonb_build_object(${sql.join(
    columns.map((column) => sql`${sql.raw(`'${column}'`)}, ${sql.identifier(column)}`),
    sql`, `,
  )})`;

/**
 * Keeps a row with everything that goes with it when it is removed, down to the last table, and of what stays where it pointed. The
 * foreign keys of the database say what belongs to what: a table that is added later is kept as well.
 */
export async function keepBelongings(db: Database, removalId: string, table: string, id: string): Promise<void> {
  const [pointers, keys] = [await pointersOf(db), await keysOf(db)];
  const keep = async (of: string, which: SQL, depth: number, within: readonly string[]): Promise<void> => {
    const from = sql`from ${sql.identifier(of)} where ${which}`;
    await db.execute(sql`insert into removed_row (removal_id, of_table, key, depth, says)
      select ${removalId}::uuid, ${of}, ${asObject(keys.get(of)!)}::text, ${depth}::smallint, to_jsonb(${sql.identifier(of)}) ${from}
      on conflict (removal_id, of_table, key) do update set depth = greatest(removed_row.depth, excluded.depth),
        says = excluded.says, pointed = null`);
    for (const { child, columns, parent, parentColumns, goes } of pointers) {
      if (parent !== of || within.includes(child)) continue;
      const theirs = sql`(${named(columns)}) in (select ${named(parentColumns)} ${from})`;
      if (goes) await keep(child, theirs, depth + 1, [...within, child]);
      else
        await db.execute(sql`insert into removed_row (removal_id, of_table, key, depth, says, pointed)
          select ${removalId}::uuid, ${child}, ${asObject(keys.get(child)!)}::text, 0, ${asObject(keys.get(child)!)}, ${asObject(columns)}
          from ${sql.identifier(child)} where ${theirs} on conflict (removal_id, of_table, key) do update
          set pointed = removed_row.pointed || excluded.pointed where removed_row.pointed is not null`);
    }
  };
  await keep(table, sql`id = ${id}::uuid`, 0, [table]);
}

/** Puts everything back that was kept: rows before those that point at them, then where others pointed. */
export async function putBelongingsBack(db: Database, removalId: string): Promise<void> {
  const { rows: tables } = await db.execute<{ name: string; columns: string[] }>(sql`
    select of_table as name, (select json_agg(column_name) from information_schema.columns
      where table_schema = 'public' and table_name = of_table and is_generated = 'NEVER') as columns
    from removed_row where removal_id = ${removalId}::uuid and pointed is null group by of_table order by max(depth), of_table`);
  for (const { name, columns } of tables) {
    const all = named(columns);
    await db.execute(sql`insert into ${sql.identifier(name)} (${all}) overriding system value
      select ${named(columns, 'row_before')} from removed_row,
        jsonb_populate_record(null::${sql.identifier(name)}, says) as row_before
      where removal_id = ${removalId}::uuid and of_table = ${name} and pointed is null`);
  }
  const { rows: pointing } = await db.execute<{
    name: string;
    says: Record<string, unknown>;
    pointed: Record<string, unknown>;
  }>(sql`
    select of_table as name, says, pointed from removed_row where removal_id = ${removalId}::uuid and pointed is not null`);
  for (const { name, says, pointed } of pointing) {
    const put = sql`select ${named(Object.keys(pointed), 'before')} from jsonb_populate_record(null::${sql.identifier(name)}, ${JSON.stringify(pointed)}::jsonb) as before`;
    const which = Object.keys(says).map(
      (column) =>
        sql`${sql.identifier(column)} = (jsonb_populate_record(null::${sql.identifier(name)}, ${JSON.stringify(says)}::jsonb)).${sql.identifier(column)}`,
    );
    await db.execute(
      sql`update ${sql.identifier(name)} set (${named(Object.keys(pointed))}) = (${put}) where ${sql.join(which, sql` and `)}`,
    );
  }
}
