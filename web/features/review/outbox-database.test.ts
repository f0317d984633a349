import 'fake-indexeddb/auto';
import { expect } from 'chai';
import fc from 'fast-check';
import { openDB } from 'idb';
import { openOutbox } from './outbox-database.ts';

describe('the browser’s own database of marks', () => {
  let runs = 0;

  it('keeps all that an earlier version of the pages left in it, whoever’s and of whatever film', async () => {
    const mark = fc.record({ id: fc.uuid(), clipId: fc.uuid(), accountId: fc.constantFrom('one', 'other'), said: fc.string() });
    await fc.assert(
      fc.asyncProperty(fc.uniqueArray(mark, { selector: ({ id }) => id, maxLength: 12 }), async (left) => {
        const name = `outbox-${++runs}`;
        const before = await openDB(name, 1, {
          upgrade: (database) => void database.createObjectStore('marks', { keyPath: 'id' }).createIndex('account', 'accountId'),
        });
        for (const { said, ...kept } of left) await before.put('marks', { ...kept, entry: { said } });
        before.close();

        const now = await openOutbox(name);
        const found = [
          ...(await now.getAllFromIndex('marks', 'account', 'one')),
          ...(await now.getAllFromIndex('marks', 'account', 'other')),
        ];
        expect(found).to.have.deep.members(
          left.map(({ id, clipId, accountId, said }) => ({ id, filmId: clipId, accountId, mark: { said } })),
        );
        now.close();
      }),
      { numRuns: 30 },
    );
  });

  it('begins empty, and opening it again changes nothing', async () => {
    const first = await openOutbox('outbox-new');
    expect(await first.getAll('marks')).to.deep.equal([]);
    await first.put('marks', { id: 'a', filmId: 'f', accountId: 'one', mark: { id: 'a' } as never });
    first.close();
    expect(await (await openOutbox('outbox-new')).count('marks')).to.equal(1);
  });
});
