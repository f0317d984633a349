import { useEventListener } from '@vueuse/core';
import { mostMarks, reviewEndpoints, type Mark } from '@wax-fist/contract/review';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { request, Refused } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import { openOutbox, type KeptMark } from './outbox-database.ts';

/** At most so many marks in one request, well below what the contract allows. */
const atOnce = mostMarks / 2;
const waits = [1000, 2000, 4000, 8000, 15_000];

const opened = openOutbox();

/** Marks on their way to the server. They lie in the browser's own database until the server has said that it has them. */
export const useOutbox = defineStore('outbox', () => {
  const account = useAccount();
  /** In the browser's database, as last counted, and on the way into it: a count taken in between must not hide a mark. */
  const stored = ref(0);
  const entering = ref(0);
  const waiting = computed(() => stored.value + entering.value);
  const away = ref(false);
  /** Marks that the server will not take, and why; they stay until the coach lets go of them. */
  const refused = shallowRef<{ ids: string[]; reason: string }>();
  const state = computed(() => (refused.value ? 'refused' : waiting.value === 0 ? 'saved' : away.value ? 'away' : 'sending'));
  let sending: Promise<void> | undefined;
  /** Something was put in while sending. */
  let again = false;
  let failures = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const kept = async (): Promise<KeptMark[]> => {
    if (!account.me) return [];
    const all = await (await opened).getAllFromIndex('marks', 'account', account.me.id);
    return all.sort((a, b) => (a.id < b.id ? -1 : 1));
  };

  async function put(filmId: string, marks: readonly Mark[]): Promise<void> {
    const accountId = account.me!.id;
    entering.value += marks.length;
    const transaction = (await opened).transaction('marks', 'readwrite');
    await Promise.all(marks.map((mark) => transaction.store.put({ id: mark.id, filmId, accountId, mark })));
    await transaction.done;
    stored.value = (await kept()).length;
    entering.value -= marks.length;
    void flush();
  }

  async function forget(ids: readonly string[]): Promise<void> {
    const transaction = (await opened).transaction('marks', 'readwrite');
    await Promise.all(ids.map((id) => transaction.store.delete(id)));
    await transaction.done;
  }

  async function sendAll(): Promise<void> {
    for (;;) {
      const left = (await kept()).filter(({ id }) => !refused.value?.ids.includes(id));
      stored.value = left.length;
      const [first] = left;
      if (!first) return;
      const batch = left.filter(({ filmId }) => filmId === first.filmId).slice(0, atOnce);
      const ids = batch.map(({ id }) => id);
      try {
        await request(reviewEndpoints.writeMarks, {
          params: { filmId: first.filmId },
          body: { marks: batch.map(({ mark }) => mark) },
        });
      } catch (error) {
        const final =
          error instanceof Refused && error.status >= 400 && error.status < 500 && ![401, 408, 429].includes(error.status);
        if (!final) throw error;
        refused.value = { ids: [...(refused.value?.ids ?? []), ...ids], reason: error.message };
        continue;
      }
      await forget(ids);
    }
  }

  /** Sends what waits; when the server is away, tries again by itself, and at once when the browser is back on the network. */
  function flush(): Promise<void> {
    clearTimeout(timer);
    if (sending) {
      again = true;
      return sending;
    }
    sending = sendAll()
      .then(
        () => {
          failures = 0;
          away.value = false;
        },
        () => {
          away.value = true;
          timer = setTimeout(() => void flush(), waits[Math.min(failures++, waits.length - 1)]);
        },
      )
      .finally(() => {
        sending = undefined;
        if (again && !away.value) void flush();
        again = false;
      });
    return sending;
  }

  async function dropRefused(): Promise<void> {
    await forget(refused.value?.ids ?? []);
    refused.value = undefined;
    await flush();
  }

  /** Marks of a film that the server may not have yet. */
  const marksOf = async (filmId: string): Promise<Mark[]> =>
    (await kept()).filter((mark) => mark.filmId === filmId).map(({ mark }) => mark);

  useEventListener(window, 'online', () => void flush());
  watch(() => account.me?.id, flush, { immediate: true });

  return { waiting, state, refused, put, flush, dropRefused, marksOf };
});
