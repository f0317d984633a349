import { expect } from 'chai';
import fc from 'fast-check';
import { explainedBy, inOwnOrder, mostCues, whatFirst, type Judged, type Together } from './index.ts';

const judged = (checkpointId: string, fault: number, seen: number, change: Partial<Judged> = {}): Judged => ({
  technique: 'cross',
  checkpointId,
  severity: 'base',
  family: 'stance',
  stop: 'feet',
  tally: { fault, watch: 0, clean: seen - fault, cantSee: 0 },
  ...change,
});
const together = (
  cause: string,
  effect: string,
  counts: [both: number, onlyCause: number, onlyEffect: number, neither: number],
): Together => {
  const [both, onlyCause, onlyEffect, neither] = counts;
  return { technique: 'cross', cause, effect, both, onlyCause, onlyEffect, neither };
};
const nobody = { grade: 'improver', stops: [] };
const order = (
  list: readonly Judged[],
  links: readonly Together[] = [],
  who = nobody as { grade: string; stops: Judged['stop'][] },
) => whatFirst(list, links, who).map(({ checkpointId, proposed }) => (proposed ? `${checkpointId}!` : checkpointId));

const turn = judged('pv.rear-turn', 12, 20, { family: 'pivot', stop: 'hips', severity: 'power' });
const rotation = judged('sm.rotation', 12, 20, { family: 'strike', stop: 'striking hand', severity: 'power' });
const wide = judged('st.width', 10, 20);
const hand = judged('gd.other-hand', 10, 20, { family: 'guard', stop: 'other hand', severity: 'exposure' });
const knee = judged('pv.knee', 2, 30, { family: 'pivot', stop: 'leg', severity: 'injury' });

describe('what to mend first', () => {
  it('is what costs most for how often it surely happens', () => {
    expect(order([wide, turn, hand])).to.deep.equal(['gd.other-hand!', 'st.width!', 'pv.rear-turn']);
  });

  it('is what can hurt before all else, from two clear faults on and at any rate', () => {
    expect(order([hand, knee])).to.deep.equal(['pv.knee!', 'gd.other-hand!']);
    expect(order([judged('pv.knee', 1, 30, { severity: 'injury' })])).to.deep.equal([]);
  });

  it('leaves out what is hardly a fault, or was hardly seen', () => {
    expect(order([judged('st.width', 2, 20), judged('st.lean', 5, 7)])).to.deep.equal([]);
  });

  it('is the cause before what follows from it, worth half of that besides', () => {
    const links = [together('pv.rear-turn', 'sm.rotation', [11, 1, 1, 7])];
    const [first, second] = whatFirst([rotation, turn], links, nobody);
    expect(first).to.include({ checkpointId: 'pv.rear-turn', proposed: true });
    expect(first!.value).to.be.closeTo(first!.own + second!.own / 2, 1e-12);
    expect(first!.explains[0]).to.deep.include({ checkpointId: 'sm.rotation' });
    expect(second).to.include({ checkpointId: 'sm.rotation', proposed: false });
    expect(second!.follows!.checkpointId).to.equal('pv.rear-turn');
  });

  it('is not the cause where the two have nothing to do with each other in this trainee', () => {
    const links = [together('pv.rear-turn', 'sm.rotation', [7, 5, 5, 3])];
    expect(whatFirst([rotation, turn], links, nobody).some(({ follows }) => follows)).to.equal(false);
  });

  it('is no second cue for one place, and none when two are worked on', () => {
    const lean = judged('st.lean', 9, 20);
    expect(order([wide, lean, turn])).to.deep.equal(['st.width!', 'st.lean', 'pv.rear-turn!']);
    expect(order([wide, turn], [], { ...nobody, stops: ['feet'] })).to.deep.equal(['st.width', 'pv.rear-turn!']);
    expect(order([hand], [], { ...nobody, stops: ['feet', 'leg'] })).to.deep.equal(['gd.other-hand']);
  });

  it('is base, guard and pivot for a beginner; the rest stands behind and is not proposed', () => {
    expect(order([rotation, turn, wide], [], { grade: 'beginner', stops: [] })).to.deep.equal([
      'st.width!',
      'pv.rear-turn!',
      'sm.rotation',
    ]);
  });

  it('proposes at most two, each at a place of its own, and lays the whole sum open', () => {
    const any = fc.array(
      fc.record({
        fault: fc.nat(20),
        stop: fc.constantFrom<Judged['stop']>('feet', 'hips', 'head'),
        severity: fc.constantFrom<Judged['severity']>('injury', 'exposure', 'base', 'power', 'polish'),
      }),
      { maxLength: 9 },
    );
    fc.assert(
      fc.property(any, (list) => {
        const ranked = whatFirst(
          list.map(({ fault, ...change }, place) => judged(`x${place}`, fault, 20, change)),
          [],
          nobody,
        );
        const proposed = ranked.filter((one) => one.proposed);
        expect(proposed.length).to.be.at.most(mostCues);
        expect(new Set(proposed.map(({ stop }) => stop)).size).to.equal(proposed.length);
        for (const { weight, rate, own } of ranked) expect(own).to.be.closeTo(weight * rate.low, 1e-12);
      }),
    );
  });
});

describe('whether a fault follows from another', () => {
  const table: [what: string, counts: [number, number, number, number], sure: [number, number]][] = [
    ['always together', [10, 0, 0, 10], [0.99, 1]],
    ['never together', [0, 10, 10, 0], [0, 0.01]],
    ['as often with as without', [5, 5, 5, 5], [0.49, 0.51]],
    ['nothing seen', [0, 0, 0, 0], [0.4, 0.6]],
    ['two strikes', [1, 0, 0, 1], [0.5, 0.97]],
  ];
  for (const [what, counts, [from, to]] of table)
    it(`${what}: ${from} to ${to}`, () => expect(explainedBy(together('a', 'b', counts)).sure).to.be.within(from, to));

  it('is lifted by how much likelier it is with the cause', () => {
    expect(explainedBy(together('a', 'b', [8, 2, 2, 8])).lift).to.be.closeTo(1.6, 1e-9);
  });
});

describe('what to mend first, as a coach has it', () => {
  const about = (...ids: string[]) => ids.map((checkpointId) => ({ technique: 'cross', checkpointId }));
  const ordered = (ids: string[], stops: Judged['stop'][] = []) =>
    inOwnOrder(whatFirst([wide, turn, hand, rotation], [], { grade: 'improver', stops }), about(...ids), stops).map(
      ({ checkpointId, proposed }) => (proposed ? `${checkpointId}!` : checkpointId),
    );

  it('comes in the order that was given, then as the sum has it', () => {
    expect(ordered(['sm.rotation', 'pv.rear-turn'])).to.deep.equal([
      ...['sm.rotation!', 'pv.rear-turn!', 'gd.other-hand', 'st.width'],
    ]);
    expect(ordered([])).to.deep.equal(['gd.other-hand!', 'st.width!', 'pv.rear-turn', 'sm.rotation']);
  });

  it('waits for nothing where the coach has placed it', () => {
    const links = [together('pv.rear-turn', 'sm.rotation', [11, 1, 1, 7])];
    const [first] = inOwnOrder(whatFirst([turn, rotation], links, nobody), about('sm.rotation'), []);
    expect(first).to.include({ checkpointId: 'sm.rotation', proposed: true });
    const beginner = { grade: 'beginner', stops: [] };
    expect(inOwnOrder(whatFirst([hand, rotation], [], beginner), about('sm.rotation'), [])[0]).to.include({ proposed: true });
  });

  it('is still no more than anybody has in mind, nor two for one place', () => {
    expect(ordered(['st.width', 'sm.rotation'], ['feet'])).to.deep.equal([
      ...['st.width', 'sm.rotation!', 'gd.other-hand', 'pv.rear-turn'],
    ]);
  });

  it('knows nothing of what is no fault any more', () => {
    expect(ordered(['gd.height', 'st.width'])[0]).to.equal('st.width!');
  });
});
