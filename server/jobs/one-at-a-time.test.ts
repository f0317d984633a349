import { expect } from 'chai';
import { eventually } from '../test/eventually.ts';
import { oneAtATime } from './one-at-a-time.ts';

describe('what is done one at a time', () => {
  const settled = (what: () => number, wanted: number): Promise<number> =>
    eventually(
      'all of it',
      () => Promise.resolve(what()),
      (seen) => seen === wanted,
    );

  it('goes on by itself after trouble, as when the database was away, and loses nothing', async () => {
    const [left, done, told]: [string[], string[], unknown[]] = [['one', 'two', 'three'], [], []];
    let away = 2;
    const work = oneAtATime(
      async () => {
        const [one] = left;
        if (one === undefined) return false;
        if (one === 'two' && away-- > 0) throw new Error('away');
        done.push(left.shift()!);
        return Promise.resolve(true);
      },
      (error) => told.push(error) > 0,
      5,
    );
    work.start();
    await settled(() => done.length, 3);
    expect(done).to.deep.equal(['one', 'two', 'three']);
    expect(told).to.have.length(2);
  });

  it('does no two things at once, whoever asks, and does what is asked for while it looks a last time', async () => {
    let [waiting, atOnce, most, done] = [0, 0, 0, 0];
    const work = oneAtATime(
      async () => {
        most = Math.max(most, ++atOnce);
        await new Promise((resolve) => setTimeout(resolve, 1));
        atOnce--;
        if (waiting === 0) return false;
        waiting--;
        done++;
        return true;
      },
      () => false,
    );
    for (let time = 0; time < 20; time++) {
      waiting++;
      work.start();
      if (time % 3 === 0) await new Promise((resolve) => setTimeout(resolve, 2));
    }
    await settled(() => done, 20);
    expect(most).to.equal(1);
  });
});
