import type { Reading } from '@wax-fist/contract/archives';
import { filmOfPath, filmPath, recordsPath, type ArchiveManifest } from '@wax-fist/core/formats';
import { counted } from '@wax-fist/core/words';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { and, eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, filmStep } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import { keepWithdrawn, withdrawalsHere } from '../consents/forget-films.ts';
import type { Queue } from '../../jobs/queue.ts';
import type { FilmFile, Storage } from '../../storage/storage.ts';
import type { JsonRow } from './as-json.ts';
import { hashesHold, manifestOf, recordProblem } from './check-archive.ts';
import { linesOf, openArchive, type OpenArchive } from './open-archive.ts';
import { recordKinds, type RecordKind } from './records.ts';
import { takeChecklists, takeRows, type Reason, type Tables, type Taken } from './take-rows.ts';

/** So many reasons are listed; all are counted. */
const mostReasons = 200;

interface Wish {
  path: string;
  /** Where a film lies on its way into storage. */
  home: string;
  dryRun: boolean;
  archiveWins: boolean;
  told: (share: number) => void;
}
interface House {
  db: Database;
  storage: Storage;
  queue: Pick<Queue, 'importFilm'>;
}

/** Ends the transaction of somebody who only looks. */
class OnlyLooked extends Error {}

/** The rows of a kind, some at a time, each checked. @throws Refusal that names the line */
async function* batches(archive: OpenArchive, { name, atOnce }: RecordKind): AsyncGenerator<JsonRow[]> {
  let batch: JsonRow[] = [];
  let line = 0;
  for await (const text of linesOf(await archive.read(recordsPath(name)))) {
    line++;
    const wrong = (says: string): Refusal =>
      new Refusal(422, `Line ${line} of “${recordsPath(name)}” is no ${name.replaceAll('_', ' ')}: ${says}. Nothing is read in.`);
    let row: unknown;
    try {
      row = JSON.parse(text);
    } catch {
      throw wrong('it cannot be read');
    }
    const problem = recordProblem(name, row);
    if (problem) throw wrong(problem);
    batch.push(row as JsonRow);
    if (batch.length === atOnce) {
      yield batch;
      batch = [];
    }
  }
  if (batch.length > 0) yield batch;
}

/** What the database does not take is about the archive, and not about us (SQLSTATE classes 22 and 23). */
const asRefused =
  ({ name }: RecordKind) =>
  (error: unknown): never => {
    const { code, constraint } = ((error as Error).cause ?? error) as { code?: string; constraint?: string };
    if (!code || !/^2[23]/.test(code)) throw error;
    const why = constraint ? ` (${constraint.replaceAll('_', ' ')})` : '';
    throw new Refusal(422, `A record of “${name}” cannot be read in: it is not as it has to be${why}. Nothing is read in.`);
  };

const add = (one: Taken, other: Taken): Taken => ({
  added: one.added + other.added,
  changed: one.changed + other.changed,
  same: one.same + other.same,
  refused: one.refused + other.refused,
});
const nothing: Taken = { added: 0, changed: 0, same: 0, refused: 0 };

/** Which films are here now that were not before, by their ids. */
const filmIdsHere = async (db: Database, ids: readonly string[]): Promise<Set<string>> =>
  new Set(
    ids.length === 0
      ? []
      : (
          await db
            .select({ id: film.id })
            .from(film)
            .where(inArray(film.id, [...ids]))
        ).map(({ id }) => id),
  );

/** Puts the files of films into storage. What is there already, as long as it should be, stays. @returns films of which something was put in */
async function keepFilms(
  archive: OpenArchive,
  { storage }: House,
  { home }: Wish,
  manifest: ArchiveManifest,
  filmIds: ReadonlySet<string>,
): Promise<string[]> {
  const folder = await mkdtemp(join(home, 'archive-'));
  const put = new Set<string>();
  try {
    for (const { path, bytes } of manifest.files) {
      const of = filmOfPath(path);
      if (!of || !filmIds.has(of.filmId)) continue;
      const file = of.file as FilmFile;
      if ((await storage.bytes(of.filmId, file)) === bytes) continue;
      put.add(of.filmId);
      const draft = join(folder, 'draft');
      await pipeline(await archive.read(filmPath(of.filmId, file)), createWriteStream(draft, { mode: 0o600 }));
      await storage.keep(draft, of.filmId, file);
      await storage.letGo(of.filmId);
    }
  } catch (error) {
    for (const id of put) await storage.remove(id).catch(() => undefined);
    throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
  return [...put];
}

/** Work that another machine was at is to be done here. */
async function takeUpWork(db: Database, filmIds: readonly string[]): Promise<string[]> {
  if (filmIds.length === 0) return [];
  const open = await db
    .update(filmStep)
    .set({ state: 'waiting', worker: null })
    .where(and(inArray(filmStep.filmId, [...filmIds]), inArray(filmStep.state, ['working', 'waiting'])))
    .returning({ filmId: filmStep.filmId });

  await db
    .update(film)
    .set({ state: 'waiting' })
    .where(and(inArray(film.id, [...filmIds]), eq(film.state, 'working')));
  return [...new Set(open.map(({ filmId }) => filmId))];
}

/**
 * Reads an archive in, or looks what that would come to: then the same is done, and taken back. Everything is checked before anything
 * is written, and all of it is written or nothing. Somebody whose word is in it and who has no account here is not named any more.
 * @throws Refusal in words for the person
 */
export async function readArchive(house: House, wish: Wish): Promise<Reading> {
  const { db, queue } = house;
  const archive = await openArchive(wish.path);
  try {
    const manifest = await manifestOf(archive);
    const half = wish.dryRun ? 1 : 0.6;
    await hashesHold(archive, manifest, (share) => wish.told(share * half * 0.9));
    const reasons: Reason[] = [];
    const strangers = new Map<string, number>();
    const kinds: Reading['kinds'] = [];
    let toImport: string[] = [];
    let put: string[] = [];
    const filmIds = [...new Set(manifest.files.flatMap(({ path }) => filmOfPath(path)?.filmId ?? []))];
    const before = await filmIdsHere(db, filmIds);
    const withdrawals = await withdrawalsHere(db);
    let forgotten: string[] = [];
    await db
      .transaction(async (transaction) => {
        const tables: Tables = {
          ...{ db: transaction, archiveWins: wish.archiveWins, versions: new Map() },
          refuse: (reason) => void (reasons.length < mostReasons && reasons.push(reason)),
          without: (_, ids) => {
            for (const id of ids) strangers.set(id, (strangers.get(id) ?? 0) + 1);
          },
        };
        for (const kind of recordKinds) {
          let taken = nothing;
          for await (const rows of batches(archive, kind)) {
            const some = kind.name === 'checklist_version' ? takeChecklists(rows, tables) : takeRows(kind, rows, tables);
            taken = add(taken, await some.catch(asRefused(kind)));
          }
          kinds.push({ name: kind.name, ...taken });
        }
        const gone = new Set(await keepWithdrawn(transaction, withdrawals));
        forgotten = filmIds.filter((id) => gone.has(id));
        if (wish.dryRun) throw new OnlyLooked();
        const here = await filmIdsHere(transaction, filmIds);
        const fresh = new Set([...here].filter((id) => !before.has(id) && !gone.has(id)));
        toImport = await takeUpWork(transaction, [...fresh]);
        put = await keepFilms(archive, house, wish, manifest, fresh);
        wish.told(0.99);
      })
      .catch(async (error: unknown) => {
        for (const id of put) await house.storage.remove(id).catch(() => undefined);
        if (!(error instanceof OnlyLooked)) throw error;
      });
    for (const id of toImport) await queue.importFilm(id);
    return { of: manifest.of.name, madeAt: manifest.madeAt, kinds, reasons, notes: notesOf(manifest, strangers, forgotten) };
  } finally {
    archive.close();
  }
}

/** What else is to be known of a reading. */
function notesOf({ people }: ArchiveManifest, strangers: ReadonlyMap<string, number>, forgotten: readonly string[]): string[] {
  const withheld =
    forgotten.length > 0
      ? [
          `${counted(forgotten.length, 'film')} in it ${forgotten.length === 1 ? 'shows' : 'show'} somebody who has withdrawn their consent here: only counts are kept.`,
        ]
      : [];
  if (strangers.size === 0) return withheld;
  const names = people.filter(({ id }) => strangers.has(id)).map(({ name }) => name);
  return [
    ...withheld,
    `${counted(strangers.size, 'person', 'people')} in it ${strangers.size === 1 ? 'has' : 'have'} no account here${
      names.length > 0 ? ` (${names.join(', ')})` : ''
    }: what they said stays without their name.`,
  ];
}
