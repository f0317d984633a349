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
/** A mark at which the server stumbles as often as this, alone, steps aside for the others. */
const mostStumbles = 3;

const opened = openOutbox();

/** A mark that the server does not take, and why. */
export type NotTaken = KeptMark & { reason: string };

/** Marks on their way to the server. They lie in the browser's own database until the server has said that it has them. */
export const useOutbox = defineStore('outbox', () => {
  const account = useAccount();
  /** In the browser's database, as last counted, and on the way into it: a count taken in between must not hide a mark. */
  const stored = ref(0);
  const entering = ref(0);
  const waiting = computed(() => stored.value + entering.value);
  /** Whose marks have been looked for in the browser's database: before that, nobody knows whether all are saved. */
  const lookedFor = ref<string>();
  const away = ref(false);
  /** Marks that the server does not take, each with its reason; they stay until the coach tries again or lets go of them. */
  const notTaken = shallowRef<readonly NotTaken[]>([]);
  /** What the coach last let go of: pages that show it have to look again. */
  const letGoOf = shallowRef<readonly KeptMark[]>([]);
  const sendingOrAway = computed(() => (away.value ? 'away' : 'sending'));
  const known = computed(() => lookedFor.value === account.me?.id);
  const state = computed(() =>
    notTaken.value.length > 0 ? 'refused' : waiting.value > 0 ? sendingOrAway.value : known.value ? 'saved' : 'looking',
  );
  let sending: Promise<void> | undefined;
  /** Something was put in while sending. */
  let again = false;
  let failures = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Marks in the next request; fewer when the server stumbles, until the one at which it does is found. */
  let size = atOnce;
  const stumbles = new Map<string, number>();

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

  const setAside = (marks: readonly NotTaken[]): void => void (notTaken.value = [...notTaken.value, ...marks]);

  /** Sends a batch of one film. @throws what the server answers when it takes none of them */
  async function send(batch: readonly KeptMark[]): Promise<void> {
    const { kept: taken, refused } = await request(reviewEndpoints.writeMarks, {
      params: { filmId: batch[0]!.filmId },
      body: { marks: batch.map(({ mark }) => mark) },
    });
    setAside(refused.map(({ place, reason }) => ({ ...batch[place]!, reason })));
    await forget(taken);
    for (const id of taken) stumbles.delete(id);
    size = Math.min(atOnce, size * 2);
  }

  /** What a failure comes to: who can never be taken is set aside, with more patience who makes the server stumble. @throws when it is worth waiting */
  function failed(batch: readonly KeptMark[], error: unknown): void {
    if (!(error instanceof Refused)) throw error;
    const asideFor = (reason: string): void => setAside(batch.map((one) => ({ ...one, reason })));
    if (error.isForGood) return asideFor(error.message);
    if (error.status !== 500) throw error;
    if (batch.length > 1) return void (size = Math.ceil(batch.length / 2));
    const [{ id }] = batch as [KeptMark];
    const times = (stumbles.get(id) ?? 0) + 1;
    stumbles.set(id, times);
    if (times < mostStumbles) throw error;
    asideFor(error.message);
  }

  async function sendAll(): Promise<void> {
    for (;;) {
      const all = await kept();
      // Looked at after the wait: what was aside may have come back meanwhile, and then it is left to be sent.
      const aside = new Set(notTaken.value.map(({ id }) => id));
      const left = all.filter(({ id }) => !aside.has(id));
      stored.value = left.length;
      lookedFor.value = account.me?.id;
      const [first] = left;
      if (!first) return;
      const batch = left.filter(({ filmId }) => filmId === first.filmId).slice(0, size);
      await send(batch).catch((error: unknown) => failed(batch, error));
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

  /** Sends everything once more that was not taken. */
  function tryAgain(): Promise<void> {
    // They wait again from now on, not only from when the database is next asked.
    stored.value += notTaken.value.length;
    notTaken.value = [];
    stumbles.clear();
    return flush();
  }

  /** Lets go of marks that are not taken; without ids, of all of them. */
  async function letGo(ids = notTaken.value.map(({ id }) => id)): Promise<void> {
    const gone = notTaken.value.filter(({ id }) => ids.includes(id));
    await forget(gone.map(({ id }) => id));
    notTaken.value = notTaken.value.filter((one) => !gone.includes(one));
    letGoOf.value = gone;
    await flush();
  }

  /** Marks of a film that the server may not have yet. */
  const marksOf = async (filmId: string): Promise<Mark[]> =>
    (await kept()).filter((mark) => mark.filmId === filmId).map(({ mark }) => mark);

  useEventListener(window, 'online', () => void flush());
  watch(() => account.me?.id, flush, { immediate: true });

  return { waiting, state, notTaken, letGoOf, put, flush, tryAgain, letGo, marksOf };
});
