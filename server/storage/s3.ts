import {
  DeleteObjectsCommand,
  GetObjectCommand,
  HeadBucketCommand,
  HeadObjectCommand,
  ListObjectsV2Command,
  NotFound,
  S3Client,
} from '@aws-sdk/client-s3';
import { Upload } from '@aws-sdk/lib-storage';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { filmsFolder, isFilmFile, type FilmFile, type Storage } from './storage.ts';

export interface S3Settings {
  endpoint: string;
  region: string;
  bucket: string;
  accessKeyId: string;
  secretAccessKey: string;
  /** What every key begins with: the part of the store that is this club’s. */
  prefix?: string;
}

/** Bytes in any S3-compatible store, as `<prefix>clips/<film>/<file>`; what programs have to read is copied into `<home>/copies` meanwhile. */
export function s3Storage({ endpoint, region, bucket, prefix = '', ...credentials }: S3Settings, home: string): Storage {
  const client = new S3Client({
    endpoint,
    region,
    credentials,
    forcePathStyle: true,
    // Not every store knows the newer checksums.
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
  });
  const keyOf = (filmId: string, file: string): string => `${prefix}${filmsFolder}/${filmId}/${file}`;
  /** Two workers of one machine have copies of their own: one lets go while the other still reads. */
  const copies = join(home, 'copies', String(process.pid));
  const copyOf = (filmId: string, file: FilmFile): string => join(copies, filmId, file);
  const read: Storage['read'] = async (filmId, file, range) => {
    const Range = range && `bytes=${range.start}-${range.end}`;
    const { Body } = await client.send(new GetObjectCommand({ Bucket: bucket, Key: keyOf(filmId, file), Range }));
    return Body as Readable;
  };
  const objectsBelow = async (Prefix: string) =>
    (await client.send(new ListObjectsV2Command({ Bucket: bucket, Prefix }))).Contents ?? [];
  const objectsOf = (filmId: string) => objectsBelow(keyOf(filmId, ''));
  const removeObjects = (objects: Awaited<ReturnType<typeof objectsBelow>>) =>
    client.send(new DeleteObjectsCommand({ Bucket: bucket, Delete: { Objects: objects.map(({ Key }) => ({ Key: Key! })) } }));
  const bytes: Storage['bytes'] = async (filmId, file) => {
    try {
      return (await client.send(new HeadObjectCommand({ Bucket: bucket, Key: keyOf(filmId, file) }))).ContentLength;
    } catch (error) {
      if (error instanceof NotFound) return undefined;
      throw error;
    }
  };
  return {
    read,
    bytes,
    async keep(path, filmId, file) {
      // In parts, so that a film of gigabytes neither fills the memory nor begins again after one lost packet.
      await new Upload({ client, params: { Bucket: bucket, Key: keyOf(filmId, file), Body: createReadStream(path) } }).done();
      // Whoever made it is likely to read it next.
      const copy = copyOf(filmId, file);
      await mkdir(dirname(copy), { recursive: true });
      await rename(path, copy).catch(() => rm(path));
    },
    async bring(filmId, file) {
      const copy = copyOf(filmId, file);
      const held = await stat(copy).then(
        ({ size }) => size,
        () => undefined,
      );
      if (held !== undefined && held === (await bytes(filmId, file))) return copy;
      await mkdir(dirname(copy), { recursive: true });
      const part = `${copy}.part`;
      await pipeline(await read(filmId, file), createWriteStream(part));
      await rename(part, copy);
      return copy;
    },
    letGo: (filmId) => rm(join(copies, filmId), { recursive: true, force: true }),
    async list(filmId) {
      return (await objectsOf(filmId)).flatMap(({ Key, Size, LastModified }) => {
        const file = Key!.slice(keyOf(filmId, '').length);
        return isFilmFile(file) ? [{ file, bytes: Size!, writtenAt: LastModified!.getTime() }] : [];
      });
    },
    async remove(filmId) {
      const objects = await objectsOf(filmId);
      if (objects.length > 0) await removeObjects(objects);
    },
    async removeAll() {
      // A store tells a thousand at a time, and takes away as many.
      for (let left = await objectsBelow(prefix + filmsFolder); left.length > 0; left = await objectsBelow(prefix + filmsFolder))
        await removeObjects(left);
    },
    async check() {
      await client.send(new HeadBucketCommand({ Bucket: bucket }));
    },
  };
}
