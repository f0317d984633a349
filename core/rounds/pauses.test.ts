import { expect } from 'chai';
import fc from 'fast-check';
import { pausesBetween } from './pauses.ts';

const second = 1000;
const spans = (...list: [number, number][]) => list.map(([from, to]) => ({ from: from * second, to: to * second }));
const said = (...asked: Parameters<typeof pausesBetween>) =>
  pausesBetween(...asked).map(({ kind, from, to }) => `${kind} ${from / second}–${to / second}`);

describe('pauses', () => {
  it('are set-up before the first round, rests between, and what comes after the last', () => {
    expect(said(spans([20, 80], [100, 160]), 170 * second, { talk: [], away: [] })).to.deep.equal([
      'set-up 0–20',
      'rest 80–100',
      'after 160–170',
    ]);
  });

  it('are talk where somebody talks, and nobody where nobody is there, even if somebody is heard', () => {
    const heard = { talk: spans([5, 25], [84, 96], [158, 164]), away: spans([0, 8]) };
    expect(said(spans([20, 80], [100, 160]), 170 * second, heard)).to.deep.equal([
      'nobody 0–8',
      'talk 8–20',
      'rest 80–84',
      'talk 84–96',
      'rest 96–100',
      'talk 160–164',
      'after 164–170',
    ]);
  });

  it('are nothing where a round covers the film, or what is left is too short', () => {
    expect(said(spans([0, 60]), 60 * second, { talk: spans([0, 60]), away: [] })).to.deep.equal([]);
    expect(said(spans([1, 59]), 60 * second, { talk: [], away: [] })).to.deep.equal([]);
  });

  it('of a film without rounds are set-up', () => {
    expect(said([], 30 * second, { talk: spans([10, 20]), away: [] })).to.deep.equal([
      'set-up 0–10',
      'talk 10–20',
      'set-up 20–30',
    ]);
  });

  it('never overlap each other or a round', () => {
    const someSpans = fc
      .uniqueArray(fc.integer({ min: 0, max: 200 }), { maxLength: 12 })
      .map((times) => times.sort((a, b) => a - b))
      .map((times) =>
        spans(
          ...times.flatMap((from, place): [number, number][] =>
            place % 2 === 0 && times[place + 1] ? [[from, times[place + 1]!]] : [],
          ),
        ),
      );
    fc.assert(
      fc.property(someSpans, someSpans, someSpans, (rounds, talk, away) => {
        const all = [...pausesBetween(rounds, 200 * second, { talk, away }), ...rounds].sort(
          (a, b) => a.from - b.from || a.to - b.to,
        );
        for (const [place, one] of all.entries()) expect(all[place + 1]?.from ?? Infinity).to.be.at.least(one.to);
      }),
    );
  });
});
