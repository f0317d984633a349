import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, open as openFile, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import { basename, dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { measuring, type Measured } from '../../storage/measuring.ts';
import { backupShape, openedShape, type BackupPlace, type Snapshot } from './backup-shape.ts';
import { keyFrom, nameFor, newKeyWords, NotOpened, opening, sealedBytes, sealing, type Key } from './seal.ts';

const aboutFile = 'wax-fist-backup.json';
const checkWord = 'wax-fist';

/** Somebody who wants to back up or restore, told in words. */
export class BackupProblem extends Error {}

/** A folder of backups that is open: films once each, and what the database said at each backup. */
export interface OpenPlace {
  folder: string;
  key: Key;
}

async function aboutOf(folder: string): Promise<BackupPlace | undefined> {
  const text = await readFile(join(folder, aboutFile), 'utf8').catch(() => undefined);
  if (text === undefined) return undefined;
  try {
    return backupShape.validateSync(JSON.parse(text));
  } catch {
    throw new BackupProblem(`${join(folder, aboutFile)} cannot be read: it was not written by this program, or by a newer one.`);
  }
}

/** Opens a folder of backups. @throws BackupProblem when there is none, or the passphrase is another one */
export async function openPlace(folder: string, passphrase: string): Promise<OpenPlace> {
  const about = await aboutOf(folder);
  if (!about) throw new BackupProblem(`There is no backup in ${folder}.`);
  const key = await keyFrom(passphrase, about.key);
  const word = await buffer(Readable.from([Buffer.from(about.check, 'base64')]).pipe(opening(key))).catch(() => undefined);
  if (word?.toString() !== checkWord) throw new BackupProblem('This is not the passphrase of these backups.');
  return { folder, key };
}

/** The same, and makes the folder one of backups where nothing stands in it yet. */
export async function openOrMakePlace(folder: string, passphrase: string): Promise<OpenPlace> {
  if (await aboutOf(folder)) return openPlace(folder, passphrase);
  if (passphrase.length < 12) throw new BackupProblem('The passphrase needs at least 12 letters: a sentence is easier to keep.');
  await mkdir(folder, { recursive: true, mode: 0o700 });
  if ((await readdir(folder)).length > 0) throw new BackupProblem(`${folder} holds other things. Name an empty folder.`);
  const words = newKeyWords();
  const key = await keyFrom(passphrase, words);
  const check = (await buffer(Readable.from([Buffer.from(checkWord)]).pipe(sealing(key)))).toString('base64');
  const about: BackupPlace = { format: 'wax-fist-backup', version: 1, key: words, check };
  await writeFile(join(folder, aboutFile), `${JSON.stringify(about, null, 2)}\n`, { mode: 0o600 });
  return { folder, key };
}

/** On the disk, and not only on its way there. */
async function sync(path: string): Promise<void> {
  const handle = await openFile(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** What is being written lies apart: half a file never stands under its name. */
const halves = (folder: string): string => join(folder, '.half');

/**
 * Seals something into a file, whose place may depend on what it is.
 * @param open called when it can be read at once: what fails to be opened fails while somebody listens
 * @returns what went in
 */
export async function putSealed(
  { folder, key }: OpenPlace,
  open: () => Readable | Promise<Readable>,
  pathOf: (plain: Measured) => string,
): Promise<Measured & { path: string }> {
  const half = join(halves(folder), randomUUID());
  await mkdir(halves(folder), { recursive: true, mode: 0o700 });
  const { through, told } = measuring();
  try {
    await pipeline(await open(), through, sealing(key), createWriteStream(half, { mode: 0o600 }));
    const plain = told();
    const path = pathOf(plain);
    await mkdir(dirname(path), { recursive: true, mode: 0o700 });
    await sync(half);
    await rename(half, path);
    return { ...plain, path };
  } catch (error) {
    await rm(half, { force: true });
    throw error;
  }
}

/** What stands sealed in a file, opened. */
export const getSealed = ({ key }: OpenPlace, path: string): Readable => createReadStream(path).compose(opening(key)) as Readable;

/** Reads a sealed file back. @throws BackupProblem when it is not what was sealed */
export async function verifySealed(place: OpenPlace, path: string, { bytes, sha256 }: Measured): Promise<void> {
  const { through, told } = measuring();
  try {
    await pipeline(createReadStream(path), opening(place.key), through, async (read) => {
      for await (const chunk of read) void chunk;
    });
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    if (missing) throw new BackupProblem(`${basename(path)} is missing from the backup.`);
    if (error instanceof NotOpened) throw new BackupProblem(`${basename(path)} in the backup is damaged.`);
    throw error;
  }
  const read = told();
  if (read.bytes !== bytes || read.sha256 !== sha256) throw new BackupProblem(`${basename(path)} in the backup is damaged.`);
}

/** Where the bytes of films lie, by what they are: the same bytes lie there once. */
export function objectPath({ folder, key }: OpenPlace, { sha256 }: Pick<Measured, 'sha256'>): string {
  const name = nameFor(key, sha256);
  return join(folder, 'films', name.slice(0, 2), name);
}
/** Whether the bytes are there, as long as they should be; what is in them is read when it is verified. */
export const hasObject = async (place: OpenPlace, plain: Measured): Promise<boolean> =>
  stat(objectPath(place, plain)).then(
    ({ size }) => size === sealedBytes(plain.bytes),
    () => false,
  );

const snapshotsIn = (folder: string): string => join(folder, 'backups');
export const dumpPath = ({ folder }: OpenPlace, name: string): string => join(snapshotsIn(folder), name, 'database');
const wordsPath = (folder: string, name: string): string => join(snapshotsIn(folder), name, 'contents');

/** Names of the backups in a folder, the newest first; one that did not come to its end is none. */
export async function snapshotNames(folder: string): Promise<string[]> {
  const names = await readdir(snapshotsIn(folder)).catch((): string[] => []);
  const whole = await Promise.all(
    names.map(async (name) => (await stat(wordsPath(folder, name)).catch(() => undefined)) && name),
  );
  return whole
    .filter((name) => name !== undefined)
    .sort()
    .reverse();
}
/** Takes away what broke off. */
export async function tidy({ folder }: OpenPlace): Promise<void> {
  await rm(halves(folder), { recursive: true, force: true });
  const whole = new Set(await snapshotNames(folder));
  for (const name of await readdir(snapshotsIn(folder)).catch((): string[] => []))
    if (!whole.has(name)) await rm(join(snapshotsIn(folder), name), { recursive: true, force: true });
}

/** What a backup holds. @throws BackupProblem when it cannot be read */
export async function readSnapshot(place: OpenPlace, name: string): Promise<Snapshot> {
  try {
    const text = (await buffer(getSealed(place, wordsPath(place.folder, name)))).toString();
    return openedShape.validateSync(JSON.parse(text));
  } catch {
    throw new BackupProblem(`The backup ${name} cannot be read: it is damaged, or was made by a newer version.`);
  }
}
/** Written last: with it a backup is whole. */
export const writeSnapshot = (place: OpenPlace, name: string, snapshot: Snapshot): Promise<unknown> =>
  putSealed(
    place,
    () => Readable.from([Buffer.from(JSON.stringify(snapshot))]),
    () => wordsPath(place.folder, name),
  );

/** Keeps the newest backups; the others go, and films that none of those holds. */
export async function keepNewest(place: OpenPlace, count: number): Promise<number> {
  const names = await snapshotNames(place.folder);
  const kept = await Promise.all(names.slice(0, count).map((name) => readSnapshot(place, name)));
  for (const name of names.slice(count)) await rm(join(snapshotsIn(place.folder), name), { recursive: true });
  const needed = new Set(kept.flatMap(({ films }) => films.map((one) => objectPath(place, one))));
  const films = join(place.folder, 'films');
  for (const entry of await readdir(films, { recursive: true, withFileTypes: true }).catch(() => []))
    if (entry.isFile() && !needed.has(join(entry.parentPath, entry.name))) await rm(join(entry.parentPath, entry.name));
  return Math.max(0, names.length - count);
}
