import { mostMarks, reviewEndpoints, type Mark } from '@wax-fist/contract/review';
import { marksElsewhere, takenBack } from '@wax-fist/contract/marks-elsewhere';
import {
  likelyMapping,
  readTable,
  saidByItself,
  saidInTable,
  strikesElsewhere,
  textOfBytes,
  type KnownStrike,
  type Mapping,
  type ReadElsewhere,
  type ReadTable,
} from '@wax-fist/core/marks-elsewhere';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import type { BenchData } from '../review/use-bench-data.ts';
import { marksElsewhereWords as words } from './words.ts';

/** No file of marks is larger. */
const mostBytes = 20 * 1024 ** 2;

/** A file of marks that were made elsewhere: what it says, what of it cannot be read, and reading it into a film. */
export function useMarksElsewhere(data: BenchData, already: () => readonly KnownStrike[], changed: () => unknown) {
  const notice = useNotice();
  const file = shallowRef<{ name: string }>();
  /** What a file says that is no table. */
  const byItself = shallowRef<ReadElsewhere>();
  const table = shallowRef<ReadTable>();
  const mapping = ref<Mapping>({ columns: {}, unit: 'seconds' });
  const failure = ref<string>();
  /** The share that is written; undefined while nothing is. */
  const written = ref<number>();
  const done = ref(false);

  async function choose(chosen: File): Promise<void> {
    [failure.value, table.value, byItself.value, file.value, done.value] = [undefined, undefined, undefined, undefined, false];
    if (chosen.size > mostBytes) {
      failure.value = words.isTooLargeToBe(chosen.name);
      return;
    }
    const text = textOfBytes(new Uint8Array(await chosen.arrayBuffer()));
    byItself.value = saidByItself(chosen.name, text);
    file.value = { name: chosen.name };
    if (byItself.value) return;
    table.value = readTable(text);
    mapping.value = likelyMapping(table.value);
  }

  const said = computed(
    (): ReadElsewhere => (table.value ? saidInTable(table.value, mapping.value) : byItself.value) ?? { said: [], problems: [] },
  );
  const read = computed(() => {
    const { strikes, problems } = strikesElsewhere(said.value.said, {
      ...{ catalogue: data.catalogue, school: data.session.judgedBy, timeline: data.playable.timeline, strikes: already() },
    });
    return { strikes, problems: [...said.value.problems, ...problems].sort((a, b) => a.place - b.place) };
  });
  const marks = computed(() =>
    marksElsewhere(read.value.strikes, {
      ...{ view: data.film.view, checklistVersion: data.session.checklistVersion },
      ...{ saidAt: new Date().toISOString(), freshId: v7 },
    }),
  );

  async function write(all: readonly Mark[]): Promise<string[]> {
    const refused: string[] = [];
    for (let at = 0; at < all.length; at += mostMarks) {
      written.value = at / all.length;
      const some = all.slice(at, at + mostMarks);
      const answer = await request(reviewEndpoints.writeMarks, { params: { filmId: data.film.id }, body: { marks: some } });
      refused.push(...answer.refused.map(({ reason }) => reason));
    }
    return refused;
  }
  async function readIn(): Promise<void> {
    failure.value = undefined;
    const all = marks.value;
    try {
      const refused = await write(all);
      if (refused.length > 0) failure.value = words.markWereNotTaken(refused.length, [...new Set(refused)].join(' '));
      done.value = true;
      const strikes = words.strikes(read.value.strikes.length);
      await changed();
      notice.say(words.readInStrikes(strikes), async () => {
        await write(takenBack(all, new Date().toISOString(), v7));
        [done.value, written.value] = [false, undefined];
        await changed();
      });
    } catch (error) {
      failure.value = messageOf(error);
    } finally {
      written.value = undefined;
    }
  }
  return { file, table, mapping, failure, written, done, read, marks, choose, readIn };
}
