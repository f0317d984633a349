import { footageEndpoints, uploadPath, type Film } from '@wax-fist/contract/footage';
import type { View } from '@wax-fist/core/technique';
import { createReadStream } from 'node:fs';
import { mkdir, stat } from 'node:fs/promises';
import { homedir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { DetailedError, FileUrlStorage, Upload } from 'tus-js-client';
import { v7 as uuid } from 'uuid';
import { askClub, type Club } from './club.ts';

/** A dropped line is tried again for about a minute; after that, the same command goes on where it stopped. */
const retryDelays = [500, 1000, 2000, 4000, 8000, 15_000, 30_000];
const chunkSize = 16 * 1024 ** 2;

/** Where it is remembered what was half sent. */
const memory = (environment: NodeJS.ProcessEnv): string =>
  join(environment.XDG_STATE_HOME ?? join(homedir(), '.local', 'state'), 'wax-fist', 'uploads.json');

const reasonOf = (error: Error): string => {
  const said = error instanceof DetailedError ? error.originalResponse?.getBody() : undefined;
  return said || 'The server cannot be reached any more. What was sent is kept: the same command goes on from there.';
};

export interface FilmWish {
  path: string;
  sessionId: string;
  view: View;
  /** Of the file, so that the same bytes sent right after are known. */
  sha256?: string;
  /** Told the share that has been sent. */
  progress: (share: number) => void;
}

/** A file that has wholly arrived. */
export interface Sent {
  uploadId: string;
  /** From then on it is forgotten that it was sent. */
  forget: () => Promise<void>;
}

/** Sends a file by resumable upload; what an earlier run left half sent goes on from there. @throws Error in words for the person */
export async function sendFile(club: Club, path: string, progress: (share: number) => void): Promise<Sent> {
  const storagePath = memory(process.env);
  await mkdir(dirname(storagePath), { recursive: true });
  const urlStorage = new FileUrlStorage(storagePath);
  const { size, mtimeMs } = await stat(path);
  // A file of the same name, length and age is the same file.
  const fingerprint = [club.url, path, size, mtimeMs].join(' ');
  const upload = await new Promise<Upload>((resolve, reject) => {
    const sending: Upload = new Upload(createReadStream(path), {
      endpoint: new URL(uploadPath, club.url).href,
      uploadSize: size,
      chunkSize,
      retryDelays,
      urlStorage,
      fingerprint: () => Promise.resolve(fingerprint),
      headers: { Cookie: club.cookie },
      metadata: { filename: basename(path) },
      onShouldRetry: (error) => ![413, 507].includes(error.originalResponse?.getStatus() ?? 0),
      onProgress: (sent) => progress(sent / size),
      onError: (error) => reject(new Error(reasonOf(error))),
      onSuccess: () => resolve(sending),
    });
    void sending.findPreviousUploads().then(([earlier]) => {
      if (earlier) sending.resumeFromPreviousUpload(earlier);
      sending.start();
    });
  });
  return {
    uploadId: upload.url!.split('/').at(-1)!,
    async forget() {
      for (const { urlStorageKey } of await urlStorage.findUploadsByFingerprint(fingerprint))
        await urlStorage.removeUpload(urlStorageKey);
    },
  };
}

/** Sends a film by resumable upload and hands it to the import. @throws Error in words for the person */
export async function sendFilm(club: Club, { path, sessionId, view, sha256, progress }: FilmWish): Promise<Film> {
  const { uploadId, forget } = await sendFile(club, path, progress);
  const id = uuid();
  const body = { id, sessionId, uploadId, fileName: basename(path), view, sha256 };
  const film = await askClub(club, footageEndpoints.addFilm, { filmId: id }, { body });
  // Only now is it forgotten: were it cut off before, the next run would hand over what has arrived.
  await forget();
  return film;
}
