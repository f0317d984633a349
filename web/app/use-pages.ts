import type { Page } from '@wax-fist/contract/page';
import { computed, shallowRef, type ComputedRef, type Ref } from 'vue';
import { useAnswer } from './use-answer.ts';

export interface Pages<Row> {
  /** All rows that are here; undefined until the first page is. */
  rows: ComputedRef<Row[] | undefined>;
  failure: Ref<string | undefined>;
  /** Whether rows follow that are not here yet. */
  hasMore: ComputedRef<boolean>;
  loading: Ref<boolean>;
  /** Brings the rows that follow. */
  more: () => Promise<void>;
  /** Asks again, for as many rows as are shown. */
  again: () => Promise<void>;
}

/** A long list from the server, a page at a time. What is on show stays until the answer is here. */
export function usePages<Row>(ask: (query: { after?: string }) => Promise<Page<Row>>): Pages<Row> {
  const pagesShown = shallowRef(1);
  const {
    value: page,
    failure,
    loading,
    again,
  } = useAnswer(async (): Promise<Page<Row>> => {
    const shown: Page<Row> = { rows: [], next: null };
    for (let place = 0; place < pagesShown.value && (place === 0 || shown.next !== null); place++) {
      const { rows, next } = await ask(shown.next === null ? {} : { after: shown.next });
      shown.rows.push(...rows);
      shown.next = next;
    }
    return shown;
  });
  return {
    rows: computed(() => page.value?.rows),
    failure,
    loading,
    hasMore: computed(() => (page.value?.next ?? null) !== null),
    async more() {
      pagesShown.value++;
      await again();
    },
    again,
  };
}
