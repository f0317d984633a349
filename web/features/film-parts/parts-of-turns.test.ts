import { expect } from 'chai';
import { given, partsOf, roundsToGive, whyNotCut } from './parts-of-turns.ts';

const turns = [
  { person: 0, roundIds: ['a', 'b'] },
  { person: 1, roundIds: ['c'] },
  { person: 0, roundIds: ['d'] },
  { person: 1, roundIds: ['e'] },
];

describe('rounds that are given to their trainees', () => {
  const begun = roundsToGive(turns, 'maren');

  it('are of whoever the film belongs to where the first person works, and open else', () => {
    expect(begun.map(({ traineeId }) => traineeId)).to.deep.equal(['maren', 'maren', undefined, 'maren', undefined]);
    expect(whyNotCut(begun)).to.include('Say of each round');
  });

  it('go with all other rounds of the same person that nobody was told of', () => {
    const told = given(begun, 'c', 'lio');
    expect(told.map(({ traineeId }) => traineeId)).to.deep.equal(['maren', 'maren', 'lio', 'maren', 'lio']);
    expect(given(told, 'e', null).map(({ traineeId }) => traineeId)).to.deep.equal(['maren', 'maren', 'lio', 'maren', null]);
  });

  it('are parts of rounds in a row, without those that are left out', () => {
    const parts = partsOf(given(given(begun, 'c', 'lio'), 'e', null));
    expect(parts.map(({ traineeId, roundIds }) => [traineeId, roundIds.join('')])).to.deep.equal([
      ['maren', 'ab'],
      ['lio', 'c'],
      ['maren', 'd'],
    ]);
    expect(new Set(parts.map(({ filmId }) => filmId)).size).to.equal(3);
  });

  it('are not cut where all are of one', () => {
    expect(whyNotCut(roundsToGive([{ person: 0, roundIds: ['a', 'b'] }], 'maren'))).to.include('nothing to cut');
    expect(whyNotCut(given(begun, 'c', 'lio'))).to.equal(undefined);
  });
});
