import { expect } from 'chai';
import fc from 'fast-check';
import { makeUndo } from './undo.ts';

describe('undo', () => {
  it('walks back and forth through what was done', () => {
    const undo = makeUndo<string>();
    expect([undo.canUndo.value, undo.canRedo.value, undo.back(), undo.forth()]).to.deep.equal([
      false,
      false,
      undefined,
      undefined,
    ]);
    undo.did({ before: ['a'], after: ['b'] });
    undo.did({ before: ['b'], after: ['c'] });
    expect([undo.back(), undo.back(), undo.back()]).to.deep.equal([['b'], ['a'], undefined]);
    expect([undo.forth(), undo.canRedo.value, undo.canUndo.value]).to.deep.equal([['b'], true, true]);
  });

  it('forgets what lay ahead when something new is done', () => {
    const undo = makeUndo<number>();
    undo.did({ before: [0], after: [1] });
    undo.back();
    undo.did({ before: [0], after: [2] });
    expect([undo.forth(), undo.back(), undo.back()]).to.deep.equal([undefined, [0], undefined]);
  });

  it('brings any value back to where it began, and then to where it was', () => {
    fc.assert(
      fc.property(fc.array(fc.nat()), (values) => {
        const undo = makeUndo<number>();
        let value = 0;
        for (const next of values) {
          undo.did({ before: [value], after: [next] });
          value = next;
        }
        const last = value;
        for (let step = undo.back(); step; step = undo.back()) [value] = step as [number];
        expect(value).to.equal(0);
        for (let step = undo.forth(); step; step = undo.forth()) [value] = step as [number];
        expect(value).to.equal(last);
      }),
    );
  });
});
