import { expect } from 'chai';
import fc from 'fast-check';
import { cutAt, freeAround, leastRound, overlapping, withEdge } from './index.ts';

const duration = 300_000;

const rounds = [
  { id: 'a', name: 'Round 1', from: 10_000, to: 100_000 },
  { id: 'b', name: 'Round 2', from: 120_000, to: 200_000 },
];

describe('rounds, moved by hand', () => {
  it('have edges that stop at a neighbour, at the ends of the film, and before their other edge', () => {
    const from = (id: string, time: number) => withEdge(rounds, id, 'from', time, duration).find((one) => one.id === id)!.from;
    const to = (id: string, time: number) => withEdge(rounds, id, 'to', time, duration).find((one) => one.id === id)!.to;
    expect([from('a', -50), from('a', 20_000), from('a', 99_900)]).to.deep.equal([0, 20_000, 100_000 - leastRound]);
    expect([to('a', 119_000), to('a', 150_000), to('a', 0)]).to.deep.equal([119_000, 120_000, 10_000 + leastRound]);
    expect([from('b', 90_000), to('b', 400_000)]).to.deep.equal([100_000, duration]);
    expect(withEdge(rounds, 'no such round', 'to', 5, duration)).to.deep.equal(rounds);
  });
  it('never overlap, wherever an edge is put', () => {
    const anywhere = fc.record({
      id: fc.constantFrom('a', 'b'),
      edge: fc.constantFrom('from' as const, 'to' as const),
      time: fc.integer({ min: -1e6, max: 1e6 }),
    });
    fc.assert(
      fc.property(fc.array(anywhere, { maxLength: 12 }), (moves) => {
        const moved = moves.reduce((all, { id, edge, time }) => withEdge(all, id, edge, time, duration), rounds);
        expect(overlapping(moved)).to.equal(undefined);
        for (const { from, to } of moved) expect(to - from).to.be.at.least(leastRound);
      }),
    );
  });
  it('are added where none is', () => {
    expect(freeAround(rounds, 110_000, duration)).to.deep.equal({ from: 100_000, to: 120_000 });
    expect(freeAround(rounds, 250_000, duration)).to.deep.equal({ from: 200_000, to: duration });
    expect(freeAround([], 5, duration)).to.deep.equal({ from: 0, to: duration });
    expect(freeAround(rounds, 50_000, duration)).to.equal(undefined);
    expect(freeAround([{ id: 'a', from: 500, to: duration }], 100, duration)).to.equal(undefined);
  });
  it('are cut in two, each with what it had', () => {
    expect(cutAt(rounds, 50_000, { id: 'c', name: 'Round 3' })).to.deep.equal([
      { id: 'a', name: 'Round 1', from: 10_000, to: 50_000 },
      { id: 'c', name: 'Round 3', from: 50_000, to: 100_000 },
      rounds[1],
    ]);
    expect(cutAt(rounds, 110_000, { id: 'c' })).to.equal(undefined);
    expect(cutAt(rounds, 10_400, { id: 'c' })).to.equal(undefined);
  });
});
