import {
  archiveFormat,
  archiveVersion,
  filmPath,
  manifestPath,
  recordsPath,
  schemaPath,
  type ArchivedFile,
  type ArchiveManifest,
} from '@wax-fist/core/formats';
import { staffRoles } from '@wax-fist/contract/endpoint';
import { derivedFiles } from '@wax-fist/contract/footage';
import { sum } from 'd3-array';
import { and, asc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { rename } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import type { Database } from '../../db/connection.ts';
import { account, film, trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { measuring } from '../../storage/measuring.ts';
import type { FilmFile, Storage } from '../../storage/storage.ts';
import { archiveSchema } from './archive-schema.ts';
import { toJson, type Row } from './as-json.ts';
import { columnsOf, keyOf, recordKinds, type RecordKind } from './records.ts';

/** Of whom an archive is: of one trainee, or of everybody. */
export interface ArchiveOf {
  traineeId: string | null;
}
interface Wish extends ArchiveOf {
  /** Where it is written; whole, or not at all. */
  path: string;
  /** Told the share that is done. */
  told: (share: number) => void;
}

const filmFiles: readonly FilmFile[] = ['original', ...derivedFiles];
const scopeOf = ({ traineeId }: ArchiveOf): SQL =>
  traineeId === null ? sql`(select id from ${trainee})` : sql`(${traineeId}::uuid)`;

/** Rows of a kind, a page at a time, so that none of it has to lie in memory. */
async function* rowsOf(db: Database, { table, of, atOnce }: RecordKind, scope: SQL): AsyncGenerator<Row> {
  const keys = keyOf(table);
  const columns = sql.join(
    keys.map(({ column }) => sql`${column}`),
    sql`, `,
  );
  for (let after: unknown[] | undefined; ;) {
    const behind =
      after &&
      sql`(${columns}) > (${sql.join(
        after.map((value, place) => sql`${value}::${sql.raw(keys[place]!.column.getSQLType())}`),
        sql`, `,
      )})`;
    const rows = (await db
      .select()
      .from(table as never)
      .where(and(of?.(scope), behind))
      .orderBy(...keys.map(({ column }) => asc(column)))
      .limit(atOnce)) as Row[];
    yield* rows;
    if (rows.length < atOnce) return;
    after = keys.map(({ name }) => rows.at(-1)![name]);
  }
}

/** Whoever has said something: their names go along, nothing else. */
const peopleOf = (db: Database) =>
  db
    .select({ id: account.id, name: account.name })
    .from(account)
    .where(inArray(account.role, [...staffRoles]))
    .orderBy(asc(account.name));

/** The files of films that there are. */
async function filesOf(db: Database, storage: Storage, scope: SQL): Promise<{ filmId: string; file: FilmFile; bytes: number }[]> {
  const films = await db
    .select({ id: film.id })
    .from(film)
    .where(recordKinds.find(({ table }) => table === film)!.of!(scope))
    .orderBy(asc(film.id));
  const files: { filmId: string; file: FilmFile; bytes: number }[] = [];
  for (const { id } of films)
    for (const file of filmFiles) {
      const bytes = await storage.bytes(id, file);
      if (bytes !== undefined) files.push({ filmId: id, file, bytes });
    }
  return files;
}

/**
 * Writes an archive: one zip with films as they are, records as lines of JSON, the schema of those, and what all of it has to be. Each
 * thing goes from where it lies into the file; nothing is held whole. @throws Refusal where there is no such trainee
 */
export async function writeArchive(db: Database, storage: Storage, { traineeId, path, told }: Wish): Promise<ArchiveManifest> {
  const scope = scopeOf({ traineeId });
  const name =
    traineeId === null
      ? ''
      : found(await db.select({ name: trainee.name }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee').name;
  const zip = new ZipFile();
  const target = createWriteStream(`${path}.part`, { mode: 0o600 });
  const failed = new Promise<never>((_, reject) => {
    target.once('error', reject);
    zip.once('error', reject);
  });
  // Heard of wherever something is waited for; alone it must not end the process.
  failed.catch(() => undefined);
  const written = once(target, 'close');
  zip.outputStream.pipe(target);
  const files: ArchivedFile[] = [];
  const add = async (entry: string, source: Readable, compress: boolean, passed?: (bytes: number) => void): Promise<void> => {
    const { through, told: telling } = measuring();
    if (passed) through.on('data', (chunk: Buffer) => passed(chunk.length));
    source.once('error', (error) => through.destroy(error));
    const ended = once(through, 'end');
    zip.addReadStream(source.pipe(through), entry, { compress, mode: 0o600 });
    await Promise.race([ended, failed]);
    files.push({ path: entry, ...telling() });
  };

  const records: ArchiveManifest['records'] = [];
  // All records as they stand at one moment.
  await db.transaction(
    async (transaction) => {
      await add(schemaPath, Readable.from([`${JSON.stringify(archiveSchema, undefined, 1)}\n`]), true);
      for (const kind of recordKinds) {
        const columns = columnsOf(kind.table);
        let rows = 0;
        const lines = async function* () {
          for await (const row of rowsOf(transaction, kind, scope)) {
            rows++;
            yield Buffer.from(`${JSON.stringify(toJson(columns, row))}\n`);
          }
        };
        await add(recordsPath(kind.name), Readable.from(lines(), { objectMode: false }), true);
        records.push({ name: kind.name, rows });
      }
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
  const films = await filesOf(db, storage, scope);
  const all = sum(films, ({ bytes }) => bytes) || 1;
  let done = 0;
  for (const { filmId, file } of films)
    await add(filmPath(filmId, file), await storage.read(filmId, file), false, (bytes) => told((done += bytes) / all));
  const manifest: ArchiveManifest = {
    ...{ format: archiveFormat, version: archiveVersion, madeAt: new Date().toISOString() },
    of: { kind: traineeId === null ? 'club' : 'trainee', name },
    ...{ people: await peopleOf(db), records, files },
  };
  zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, undefined, 1)}\n`), manifestPath, { mode: 0o600 });
  zip.end();
  await Promise.race([written, failed]);
  await rename(`${path}.part`, path);
  return manifest;
}
