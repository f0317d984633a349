import { messageOf } from '@wax-fist/core/message-of';
import { expect } from 'chai';
import fc from 'fast-check';
import { everyRow, pageOf, pageQuery, type Page } from './page.ts';
import { filledPath } from './endpoint.ts';
import { count } from './shapes.ts';

/** A list that is told in pages of a size. */
const inPages =
  (rows: readonly number[], size: number) =>
  ({ after = '0' }: { after?: string }): Promise<Page<number>> => {
    const end = Number(after) + size;
    return Promise.resolve({ rows: rows.slice(Number(after), end), next: end < rows.length ? String(end) : null });
  };

describe('lists by page', () => {
  it('come together again, whatever the size of a page', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(), { maxLength: 60 }), fc.integer({ min: 1, max: 20 }), async (rows, size) => {
        expect(await everyRow(inPages(rows, size))).to.deep.equal(rows);
      }),
    );
  });

  it('say what went wrong when one page does not come', async () => {
    const failing = ({ after }: { after?: string }) =>
      after ? Promise.reject(new Error('away')) : Promise.resolve({ rows: [1], next: 'on' });
    expect(await everyRow(failing).catch(messageOf)).to.equal('away');
  });

  it('have a shape: rows, and what follows or null', () => {
    const shape = pageOf(count());
    expect(shape.isValidSync({ rows: [1, 2], next: null })).to.equal(true);
    for (const wrong of [{ rows: [1] }, { rows: ['one'], next: null }, { next: null }, { rows: [-1], next: 'x' }])
      expect(shape.isValidSync(wrong), JSON.stringify(wrong)).to.equal(false);
    expect(pageQuery.isValidSync({ after: 'x'.repeat(501) })).to.equal(false);
  });

  it('are asked for behind a question mark, where nothing else can get in', () => {
    expect(filledPath('/api/trainees', {}, { find: 'a&b=c', after: undefined })).to.equal('/api/trainees?find=a%26b%3Dc');
    expect(filledPath('/api/trainees', {}, {})).to.equal('/api/trainees');
  });
});
