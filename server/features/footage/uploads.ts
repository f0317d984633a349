import { uploadPath, largestUpload } from '@wax-fist/contract/footage';
import { staff } from '@wax-fist/contract/endpoint';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import type { Response, Router } from 'express';
import { mkdirSync } from 'node:fs';
import { readdir, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import { knownTrouble } from '../../http/known-trouble.ts';
import { Refusal } from '../../http/refusal.ts';
import { requireScope } from '../../http/scope.ts';
import type { SignedIn } from '../../http/sign-in.ts';
import type { Settings } from '../../settings.ts';

const twoDays = 48 * 3600 * 1000;

/** A film needs room for itself and for its review copy. */
const copiesNeeded = 1.5;
const gigabytes = (bytes: number): string => `${(bytes / 1e9).toFixed(1)} GB`;
const noRoom = (bytes: number, room: number): string =>
  `There is no room for this film: with its review copy it needs ${gigabytes(bytes * copiesNeeded)}, and ${gigabytes(room)} are free on the server. Nothing was sent.`;
/** Bytes that may be filled. */
async function roomIn(directory: string, spare: number): Promise<number> {
  const { bavail, bsize } = await statfs(directory);
  return Math.max(0, bavail * bsize - spare);
}

export interface Uploads {
  /** Puts the resumable-upload protocol on the router. */
  mount: (router: Router) => void;
  /** Path of an upload that has wholly arrived. @throws Refusal */
  finished: (uploadId: string) => Promise<{ path: string; bytes: number }>;
  /** Drops what was left lying half sent for two days. */
  tidy: () => Promise<number>;
}

/** The upload server ends a response with nothing but a callback; the wrapper that sign-in puts round `end` takes that for content. */
function endsWithCallback(response: Response): void {
  const end = response.end.bind(response) as (...words: unknown[]) => Response;
  response.end = ((...words: unknown[]) => {
    const [first, ...rest] = words;
    if (typeof first !== 'function') return end(first, ...rest);
    response.once('finish', first as () => void);
    return end();
  }) as Response['end'];
}

/** The upload server answers every site; ours answers its own pages only. */
function forOwnPages(response: Response): void {
  const setHeader = response.setHeader.bind(response);
  response.setHeader = (name, value) => (/^access-control-/i.test(name) ? response : setHeader(name, value));
}

/** What uploads that have begun may still send, and their review copies: room that is spoken for. */
async function promised(store: FileStore): Promise<number> {
  const ids = await readdir(store.directory).catch(() => []);
  const uploads = await Promise.all(
    ids.filter((id) => !id.endsWith('.json')).map((id) => store.getUpload(id).catch(() => undefined)),
  );
  return uploads.reduce((sum, upload) => sum + Math.max(0, (upload?.size ?? 0) * copiesNeeded - (upload?.offset ?? 0)), 0);
}

/** Who sends, as sign-in has it. */
const senderOf = (request: unknown): string => {
  const { runtime } = request as { runtime?: { node?: { req?: { session?: { account?: SignedIn } } } } };
  return runtime?.node?.req?.session?.account?.id ?? '';
};

/** Files on their way in, below `<home>/uploads`; a lid may be closed in the middle. `spare` bytes of the disk stay free. */
export function uploadsIn({ home, spare }: Pick<Settings, 'home' | 'spare'>): Uploads {
  const directory = join(home, 'uploads');
  mkdirSync(directory, { recursive: true, mode: 0o700 });
  const store = new FileStore({ directory, expirationPeriodInMilliseconds: twoDays });
  const tus = new Server({
    path: uploadPath,
    datastore: store,
    maxSize: largestUpload,
    relativeLocation: true,
    // Said before the first byte is sent, not after the last.
    async onUploadCreate(request, upload) {
      const room = Math.max(0, (await roomIn(directory, spare)) - (await promised(store)));
      if ((upload.size ?? 0) * copiesNeeded > room) {
        throw Object.assign(new Error('There is no room.'), { status_code: 507, body: noRoom(upload.size ?? 0, room) });
      }
      return { metadata: { ...upload.metadata, sentBy: senderOf(request) } };
    },
    // A disk that fills in the middle is told as such: what has arrived stays, and the sender goes on from there.
    onResponseError(_request, error) {
      const known = knownTrouble(error);
      return known && { status_code: known.status, body: known.message };
    },
    // Whoever knows the id of an upload must not write into it, nor ask how far it is.
    async onIncomingRequest(request, uploadId) {
      if (request.method === 'POST') return;
      const upload = await store.getUpload(uploadId).catch(() => undefined);
      if (upload && upload.metadata?.sentBy !== senderOf(request))
        throw Object.assign(new Error('Not here.'), { status_code: 404, body: 'This upload is not here.' });
    },
  });
  return {
    mount(router) {
      router.all([uploadPath, `${uploadPath}/*id`], requireScope(staff), (request, response) => {
        endsWithCallback(response);
        forOwnPages(response);
        return tus.handle(request, response);
      });
    },
    async finished(uploadId) {
      const upload = await store.getUpload(uploadId).catch(() => undefined);
      if (!upload) throw new Refusal(409, 'The upload of this film is no longer here. Choose the file again.');
      if (upload.size === undefined || upload.offset < upload.size) {
        throw new Refusal(409, 'The upload of this film has not ended yet. It goes on where it stopped.');
      }
      return { path: join(directory, uploadId), bytes: upload.size };
    },
    tidy: () => store.deleteExpired(),
  };
}
