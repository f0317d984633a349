import { expect } from 'chai';
import type { Side } from '../technique/index.ts';
import { habitsOf, shareOf, tellsOf, type ThrownInTime } from './habits.ts';

/** A film of combinations, each told as techniques; 300 ms inside of one, two seconds between them. */
function film(...combinations: string[]): ThrownInTime[] {
  let time = 0;
  return combinations.flatMap((told, place) => {
    time += 2000;
    return told.split(' ').map((technique, order) => ({ id: `${place}-${order}`, technique, time: (time += 300) }));
  });
}
const sideOf = (technique: string): Side => (technique === 'cross' ? 'rear' : 'lead');
const times = <One>(count: number, one: One): One[] => Array.from({ length: count }, () => one);

describe('habits', () => {
  const habits = habitsOf([film(...times(10, 'jab cross'), 'cross', ...times(3, 'lead-hook cross'))], sideOf);

  it('tell combinations with their lengths, openings and exits, each of how many', () => {
    expect(habits.combinations).to.equal(14);
    expect(habits.lengths.map(({ what, times: many }) => [what, many])).to.deep.equal([
      [2, 13],
      [1, 1],
    ]);
    expect(habits.openings.map(({ what, times: many, of }) => `${what} ${many} of ${of}`)).to.deep.equal([
      'jab 10 of 14',
      'lead-hook 3 of 14',
      'cross 1 of 14',
    ]);
    expect(habits.exits[0]).to.deep.include({ what: 'cross', times: 14, of: 14 });
  });

  it('tell what follows what, and where nothing does', () => {
    const after = (technique: string) => habits.follows.find((one) => one.after === technique)!.next;
    expect(after('jab')[0]).to.deep.include({ what: 'cross', times: 10, of: 10 });
    expect(after('cross')[0]).to.deep.include({ what: undefined, times: 14, of: 14 });
  });

  it('have an interval round each share that holds what was seen', () => {
    const { rate, low, high, proof } = shareOf('jab', times(7, 'a'), 10);
    expect(rate).to.equal(0.7);
    expect(low).to.be.within(0.4, 0.6);
    expect(high).to.be.within(0.8, 0.95);
    expect(proof).to.have.length(7);
  });

  it('do not run on from one film into the next', () => {
    const [one, other] = [film('jab'), film('cross')];
    expect(habitsOf([one, other], sideOf).combinations).to.equal(2);
    expect(habitsOf([], sideOf)).to.deep.equal({ combinations: 0, lengths: [], openings: [], exits: [], follows: [], sides: [] });
  });
});

describe('what a partner could read', () => {
  it('is what is surely done in most cases, with the strikes that prove it', () => {
    const habits = habitsOf([film(...times(12, 'jab cross'), ...times(4, 'cross lead-hook'))], sideOf);
    const follow = tellsOf(habits).find((tell) => tell.kind === 'follow' && tell.after === 'jab');
    expect(follow!.share).to.deep.include({ what: 'cross', times: 12, of: 12 });
    expect(follow!.share.proof).to.have.length(12);
  });

  it('is nothing of a few strikes, and nothing that goes one way and the other', () => {
    expect(tellsOf(habitsOf([film('jab cross', 'jab cross')], sideOf))).to.deep.equal([]);
    const evenly = habitsOf(
      [film(...times(10, 'jab cross lead-hook'), ...times(10, 'cross jab'), ...times(10, 'lead-hook'))],
      sideOf,
    );
    expect(tellsOf(evenly).filter(({ kind }) => kind === 'opening')).to.deep.equal([]);
  });

  it('is nothing where one technique was all that was worked', () => {
    expect(tellsOf(habitsOf([film(...times(30, 'jab'))], sideOf)).filter(({ kind }) => kind !== 'side')).to.deep.equal([]);
  });
});
