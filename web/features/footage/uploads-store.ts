import { askBeforeLeaving } from '../../app/ask-before-leaving.ts';
import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints, type Film, type KnownFilm } from '@wax-fist/contract/footage';
import type { View } from '@wax-fist/core/technique';
import { defineStore } from 'pinia';
import { defaultOptions, Upload } from 'tus-js-client';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { request } from '../../app/request.ts';
import { fileHash } from './file-hash.ts';
import { reasonOf, sendingOptions } from './send-file.ts';
import { notWorthSending } from './worth-sending.ts';

/** Looking: the file is compared with what is here already. Known: it is here, and the coach has to say. */
export type SendingState = 'looking' | 'known' | 'sending' | 'paused' | 'failed';

/** A film on its way to the server. */
export interface Sending {
  id: string;
  sessionId: string;
  fileName: string;
  view: View;
  bytes: number;
  sent: number;
  state: SendingState;
  /** Of what this sending has moved itself: what lay on the server before says nothing about the line. */
  pace: { from: number; since: number };
  known: KnownFilm[];
  sha256?: string;
  /** Another file of the same bytes that was chosen before and is still on its way. */
  twin?: string;
  failure?: string;
  /** Trying again may help. */
  again: boolean;
}

/** A film that was being sent when the browser was closed. */
export interface HalfSent {
  fileName: string;
  bytes: number;
  forget: () => Promise<void>;
}

interface Line {
  upload: Upload;
  stop: AbortController;
}

/** Films being sent, whatever page is open meanwhile. */
export const useUploads = defineStore('uploads', () => {
  const sendings = reactive<Sending[]>([]);
  const halfSent = ref<HalfSent[]>([]);
  const lines = new Map<string, Line>();
  const busy = computed(() => sendings.some(({ state }) => state === 'looking' || state === 'sending'));

  const at = (id: string): Sending | undefined => sendings.find((one) => one.id === id);
  const set = (id: string, change: Partial<Sending>): void => void Object.assign(at(id) ?? {}, change);
  function forget(id: string): void {
    const place = sendings.findIndex((one) => one.id === id);
    if (place >= 0) sendings.splice(place, 1);
    lines.delete(id);
  }

  /** What an earlier visit left half sent: the same file, chosen again, goes on where it stopped. */
  async function lookForHalfSent(): Promise<void> {
    const storage = defaultOptions.urlStorage;
    const all = await storage.findAllUploads();
    const underWay = new Set(sendings.map(({ fileName }) => fileName));
    halfSent.value = all
      .filter(({ metadata }) => metadata.filename && !underWay.has(metadata.filename))
      .map(({ metadata, size, urlStorageKey }) => ({
        fileName: metadata.filename!,
        bytes: size ?? 0,
        async forget() {
          await storage.removeUpload(urlStorageKey);
          await lookForHalfSent();
        },
      }));
  }

  /** Sends a film and hands it to the import. `added` is told when the server has the film. */
  function send(file: File, sessionId: string, view: View, added: (film: Film) => void): void {
    const id = uuid();
    const fileName = file.name;
    const failure = notWorthSending(file);
    const pace = { from: 0, since: 0 };
    sendings.push({
      id,
      sessionId,
      fileName,
      view,
      bytes: file.size,
      sent: 0,
      pace,
      known: [],
      state: failure ? 'failed' : 'looking',
      failure,
      again: false,
    });
    if (failure) return;
    const upload = new Upload(file, {
      ...sendingOptions(fileName),
      onProgress(sent) {
        const one = at(id);
        if (!one) return;
        if (one.pace.since === 0) one.pace = { from: sent, since: Date.now() };
        one.sent = sent;
      },
      onError(error) {
        const { reason, again } = reasonOf(error);
        set(id, { state: 'failed', failure: reason, again });
      },
      onSuccess: () => void handOver(),
    });
    const stop = new AbortController();
    lines.set(id, { upload, stop });

    async function handOver(): Promise<void> {
      const uploadId = upload.url!.split('/').at(-1)!;
      try {
        const film = await request(footageEndpoints.addFilm, {
          params: { filmId: id },
          body: { id, sessionId, uploadId, fileName, view, sha256: at(id)?.sha256 },
        });
        forget(id);
        added(film);
      } catch (error) {
        set(id, { state: 'failed', failure: messageOf(error), again: true });
      }
    }

    void lookFirst(file, id, stop.signal);
  }

  /** Offers the film that is here already instead of sending it a second time. */
  async function lookFirst(file: File, id: string, signal: AbortSignal): Promise<void> {
    const earlier = (await lines.get(id)!.upload.findPreviousUploads()).length > 0;
    try {
      const sha256 = earlier ? undefined : await fileHash(file, () => undefined, signal);
      const twin = sha256 && sendings.find((one) => one.sha256 === sha256 && one.state !== 'failed')?.fileName;
      set(id, { sha256, twin });
      const known = sha256 && !twin ? await request(footageEndpoints.filmsKnownBy, { params: { sha256 } }) : [];
      if (twin ?? known.length > 0) return set(id, { state: 'known', known });
    } catch {
      // It is sent without having been looked for; the server compares it again.
      if (signal.aborted) return;
    }
    await start(id);
  }

  async function start(id: string): Promise<void> {
    const line = lines.get(id);
    if (!line) return;
    const [earlier] = await line.upload.findPreviousUploads();
    if (earlier) line.upload.resumeFromPreviousUpload(earlier);
    set(id, { state: 'sending', failure: undefined, pace: { from: 0, since: 0 } });
    line.upload.start();
    await lookForHalfSent();
  }

  async function pause({ id }: Sending): Promise<void> {
    await lines.get(id)?.upload.abort();
    set(id, { state: 'paused' });
  }

  function stop({ id }: Sending): void {
    const line = lines.get(id);
    line?.stop.abort();
    void line?.upload.abort(true).catch(() => undefined);
    forget(id);
    void lookForHalfSent();
  }

  askBeforeLeaving(() => busy.value);
  void lookForHalfSent();

  return { sendings, halfSent, send, start: ({ id }: Sending) => start(id), pause, stop };
});
