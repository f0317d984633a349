import { filmOfPath, isArchivePath, manifestPath, schemaPath } from '@wax-fist/core/formats';
import { messageOf } from '@wax-fist/core/message-of';
import { sum } from 'd3-array';
import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { promisify } from 'node:util';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { Refusal } from '../../http/refusal.ts';

/** More entries than these no club has. */
const mostEntries = 200_000;
/** What small files, and a line of a record, may come to at most. */
export const mostInMemory = 64 * 1024 ** 2;
/** Text of records packs to a twentieth, and hardly to a five-hundredth. */
const mostPacked = 500;

/** An archive that is open: what is in it, and how to read that. */
export interface OpenArchive {
  paths: ReadonlySet<string>;
  bytesOf: (path: string) => number;
  /** @throws Refusal when it is damaged */
  read: (path: string) => Promise<Readable>;
  /** Of something small. */
  text: (path: string) => Promise<string>;
  close: () => void;
}

const cutShort = 'This is no archive, or it is cut short: its end is missing. Copy it again.';
const refuse = (says: string): never => {
  throw new Refusal(422, says);
};

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > mostEntries) refuse(`An archive with ${zip.entryCount} entries is none of ours.`);
  const entries = new Map<string, Entry>();
  return new Promise((resolve, reject) => {
    zip.on('entry', (entry: Entry) => {
      const { fileName } = entry;
      if (entries.has(fileName)) return reject(new Refusal(422, `“${fileName}” is in this archive twice.`));
      if (!isArchivePath(fileName))
        return reject(new Refusal(422, `“${fileName.slice(0, 120)}” is nothing that belongs in an archive. It is not read.`));
      entries.set(fileName, entry);
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', (error: Error) => reject(asRefusal(error)));
    zip.readEntry();
  });
}

/** What the reader of zips says is about the file, and not about us. */
const asRefusal = (error: Error): Error =>
  error instanceof Refusal
    ? error
    : new Refusal(
        422,
        /relative path|absolute path|invalid characters/.test(error.message)
          ? 'A name in this archive leads out of it. It is not read.'
          : `This archive is damaged (${error.message}). Copy it again.`,
      );

/** Small things that grow to gigabytes, or lie over each other, are made to fill a disk. */
function againstBombs(entries: Map<string, Entry>, fileSize: number): void {
  const all = [...entries.values()];
  if (sum(all, ({ compressedSize }) => compressedSize) > fileSize)
    refuse('Parts of this archive lie over each other. It is not read.');
  for (const { fileName, compressedSize, uncompressedSize } of all) {
    const most = filmOfPath(fileName) ? 1.1 : mostPacked;
    if (uncompressedSize > mostInMemory && uncompressedSize > most * compressedSize)
      refuse(
        `“${fileName}” would unpack to ${Math.round(uncompressedSize / Math.max(1, compressedSize))} times its size. It is not read.`,
      );
    if ((fileName === manifestPath || fileName === schemaPath) && uncompressedSize > mostInMemory)
      refuse(`“${fileName}” is too large.`);
  }
}

/** Opens an archive and looks whether it may be read at all. Close it again. @throws Refusal */
export async function openArchive(path: string): Promise<OpenArchive> {
  const { size } = await stat(path);
  const opening = promisify<string, yauzl.Options, ZipFile>(yauzl.open as never);
  const zip = await opening(path, { lazyEntries: true, autoClose: false, strictFileNames: true, validateEntrySizes: true }).catch(
    (error: unknown) => refuse(/central directory|end of/i.test(messageOf(error)) ? cutShort : asRefusal(error as Error).message),
  );
  try {
    const entries = await entriesOf(zip);
    againstBombs(entries, size);
    const entry = (name: string): Entry => entries.get(name) ?? refuse(`“${name}” is missing in this archive.`);
    const read = async (name: string): Promise<Readable> => {
      const one = entry(name);
      return new Promise((resolve, reject) => {
        zip.openReadStream(one, (error, stream) => (error ? reject(asRefusal(error)) : resolve(stream)));
      });
    };
    return {
      paths: new Set(entries.keys()),
      bytesOf: (name) => entry(name).uncompressedSize,
      read,
      async text(name) {
        const pieces: Buffer[] = [];
        try {
          for await (const piece of await read(name)) pieces.push(piece as Buffer);
        } catch (error) {
          throw asRefusal(error as Error);
        }
        return Buffer.concat(pieces).toString('utf8');
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** Lines of a text that comes piece by piece. @throws Refusal for a line that is longer than anything that belongs here */
export async function* linesOf(stream: Readable): AsyncGenerator<string> {
  let rest = '';
  stream.setEncoding('utf8');
  try {
    for await (const piece of stream) {
      const lines = (rest + (piece as string)).split('\n');
      rest = lines.pop()!;
      if (rest.length > mostInMemory) refuse('A line of this archive is too long to be a record.');
      yield* lines;
    }
  } catch (error) {
    throw asRefusal(error as Error);
  }
  if (rest !== '') yield rest;
}
