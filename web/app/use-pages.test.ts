import type { Page } from '@wax-fist/contract/page';
import { expect } from 'chai';
import { effectScope } from 'vue';
import { usePages, type Pages } from './use-pages.ts';

describe('a long list on a page', () => {
  const usual = Object.getOwnPropertyDescriptor(globalThis, 'document');
  before(() =>
    Object.defineProperty(globalThis, 'document', {
      configurable: true,
      value: { addEventListener: () => undefined, removeEventListener: () => undefined, visibilityState: 'visible' },
    }),
  );
  after(() => (usual ? Object.defineProperty(globalThis, 'document', usual) : Reflect.deleteProperty(globalThis, 'document')));

  let rows: number[];
  let asked: (string | undefined)[];
  let broken = false;
  const ask = ({ after }: { after?: string }): Promise<Page<number>> => {
    asked.push(after);
    if (broken) return Promise.reject(new Error('away'));
    const from = Number(after ?? 0);
    return Promise.resolve({ rows: rows.slice(from, from + 2), next: from + 2 < rows.length ? String(from + 2) : null });
  };
  async function opened(act: (list: Pages<number>) => Promise<void>): Promise<void> {
    asked = [];
    broken = false;
    const scope = effectScope();
    await scope.run(async () => {
      const list = usePages(ask);
      await list.again();
      await act(list);
    });
    scope.stop();
  }

  it('begins with its first page and says whether more follows', async () => {
    rows = [1, 2, 3];
    await opened(async ({ rows: shown, hasMore, more }) => {
      expect([shown.value, hasMore.value]).to.deep.equal([[1, 2], true]);
      await more();
      expect([shown.value, hasMore.value]).to.deep.equal([[1, 2, 3], false]);
    });
  });

  it('asks again for as much as is shown, so that nothing on show goes', async () => {
    rows = [1, 2, 3, 4, 5];
    await opened(async ({ rows: shown, more, again }) => {
      await more();
      rows = [0, 1, 2, 3, 4, 5];
      await again();
      expect(shown.value).to.deep.equal([0, 1, 2, 3]);
    });
  });

  it('ends when the list has become shorter', async () => {
    rows = [1, 2, 3, 4];
    await opened(async ({ rows: shown, more, again, hasMore }) => {
      await more();
      rows = [1];
      await again();
      expect([shown.value, hasMore.value]).to.deep.equal([[1], false]);
    });
  });

  it('keeps what is on show when the server is away, and says so', async () => {
    rows = [1, 2, 3];
    await opened(async ({ rows: shown, failure, again }) => {
      broken = true;
      await again();
      expect([shown.value, failure.value]).to.deep.equal([[1, 2], 'away']);
      broken = false;
      await again();
      expect(failure.value).to.equal(undefined);
    });
  });
});
