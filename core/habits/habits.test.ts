import { expect } from 'chai';
import { shippedCatalogue, techniqueIn } from '../technique/index.ts';
import { moveHabits } from './first-moves.ts';
import { eachHabit, habitsOf, shareOf, tellsOf, type ThrownInTime } from './habits.ts';
import { filmsOfOneSide, habitsOverSessions, type TaggedStrike } from './over-sessions.ts';

/** A film of combinations, each told as techniques; 300 ms inside of one, two seconds between them. */
function film(...combinations: string[]): ThrownInTime[] {
  let time = 0;
  return combinations.flatMap((told, place) => {
    time += 2000;
    return told.split(' ').map((technique, order) => ({ id: `${place}-${order}`, technique, time: (time += 300) }));
  });
}
const thrown = (technique: string) => techniqueIn(shippedCatalogue, technique);
const times = <One>(count: number, one: One): One[] => Array.from({ length: count }, () => one);

describe('habits', () => {
  const habits = habitsOf([film(...times(10, 'jab cross'), 'cross', ...times(3, 'lead-hook cross'))], thrown);

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

  it('tell how high it is aimed, without what may be aimed at two heights', () => {
    const { heights } = habitsOf([film(...times(6, 'jab body-jab'), 'lead-uppercut', ...times(2, 'lead-hook'))], thrown);
    expect(heights.map(({ what, times: many, of }) => `${what} ${many} of ${of}`)).to.deep.equal([
      'head 8 of 14',
      'body 6 of 14',
    ]);
  });

  it('stand each by itself, as many of a kind as there were', () => {
    const kinds = eachHabit(habits).map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'opening')).to.have.length(3);
    expect(kinds.filter((kind) => kind === 'follow')).to.have.length(3);
    expect(new Set(kinds)).to.have.all.keys('opening', 'exit', 'follow', 'side', 'height');
  });

  it('do not run on from one film into the next', () => {
    const [one, other] = [film('jab'), film('cross')];
    expect(habitsOf([one, other], thrown).combinations).to.equal(2);
    expect(habitsOf([], thrown)).to.deep.equal({
      combinations: 0,
      lengths: [],
      openings: [],
      exits: [],
      follows: [],
      sides: [],
      heights: [],
    });
  });
});

describe('what a partner could read', () => {
  it('is what is surely done in most cases, with the strikes that prove it', () => {
    const habits = habitsOf([film(...times(12, 'jab cross'), ...times(4, 'cross lead-hook'))], thrown);
    const follow = tellsOf(habits).find((tell) => tell.kind === 'follow' && tell.technique === 'jab');
    expect(follow!.share).to.deep.include({ what: 'cross', times: 12, of: 12 });
    expect(follow!.share.proof).to.have.length(12);
  });

  it('is nothing of a few strikes, and nothing that goes one way and the other', () => {
    expect(tellsOf(habitsOf([film('jab cross', 'jab cross')], thrown))).to.deep.equal([]);
    const evenly = habitsOf(
      [film(...times(10, 'jab cross lead-hook'), ...times(10, 'cross jab'), ...times(10, 'lead-hook'))],
      thrown,
    );
    expect(tellsOf(evenly).filter(({ kind }) => kind === 'opening')).to.deep.equal([]);
  });

  it('is nothing where one technique was all that was worked', () => {
    expect(tellsOf(habitsOf([film(...times(30, 'jab'))], thrown)).map(({ kind }) => kind)).to.deep.equal(['side']);
  });

  it('is that everything goes to the head, where it could have gone elsewhere', () => {
    const all = tellsOf(habitsOf([film(...times(20, 'jab cross'))], thrown));
    expect(all.find(({ kind }) => kind === 'height')!.share).to.deep.include({ what: 'head', times: 40 });
  });
});

describe('films of one side', () => {
  const strike = (strikeId: string, view: TaggedStrike['view'], at: number, filmId: string = view): TaggedStrike => ({
    ...{ strikeId, view, at, filmId },
    technique: 'jab',
  });
  it('are those of the side on which most is tagged, each in order of time', () => {
    const strikes = [strike('b', 'front', 900), strike('a', 'front', 300), strike('c', 'lead-side', 300)];
    expect(filmsOfOneSide(strikes).map((one) => one.map(({ id }) => id))).to.deep.equal([['a', 'b']]);
    expect(filmsOfOneSide([...strikes, strike('d', 'front', 100, 'second')])).to.have.length(2);
    expect(filmsOfOneSide([])).to.deep.equal([]);
  });
});

describe('habits over sessions', () => {
  const session = (sessionId: string, ...combinations: string[]) => ({
    sessionId,
    heldOn: `2026-0${sessionId}-01`,
    habits: habitsOf([film(...combinations)], thrown),
    givenAway: [],
  });
  const told = habitsOverSessions([
    session('1', ...times(12, 'jab cross'), ...times(4, 'cross lead-hook')),
    session('2', ...times(8, 'jab lead-hook'), ...times(8, 'jab cross')),
    session('3', ...times(10, 'cross')),
  ]);
  const follow = told.find(({ habit }) => habit.kind === 'follow' && habit.technique === 'jab' && habit.share.what === 'cross')!;

  it('follow what could be read once through all sessions in which it could have been done', () => {
    expect(follow.looks.map(({ sessionId, tally: { fault, clean } }) => [sessionId, fault, clean])).to.deep.equal([
      ['1', 12, 0],
      ['2', 8, 8],
    ]);
    expect(follow.looks[1]!.share.proof).to.have.length(8);
    expect(follow.habit.share).to.deep.include({ times: 8, of: 16 });
  });

  it('count as not done what was done otherwise', () => {
    const opening = told.find(({ habit }) => habit.kind === 'opening' && habit.share.what === 'jab')!;
    expect(opening.looks.at(-1)!.tally).to.deep.include({ fault: 0, clean: 10 });
    expect(opening.looks.at(-1)!.share.proof).to.deep.equal([]);
  });

  it('follow what moves before a strike and what falls with it, also to where it never does', () => {
    const moved = (sessionId: string, moving: number) => ({
      ...session(sessionId, ...times(2, 'jab')),
      givenAway: moveHabits(
        times(20, 'jab').map((technique, place) => ({
          ...{ id: `${sessionId}-${place}`, technique },
          leads: place < moving ? { hand: 120 } : {},
        })),
      ),
    });
    const followed = habitsOverSessions([moved('1', 15), moved('2', 0), session('3', 'jab')]);
    const hand = followed.filter(({ habit }) => habit.kind === 'move');
    expect(hand.map(({ habit }) => habit.share.what)).to.deep.equal(['hand']);
    expect(hand[0]!.looks.map(({ share: { times: count, of, proof } }) => [count, of, proof[0]])).to.deep.equal([
      [15, 20, '1-0'],
      [0, 20, undefined],
    ]);
  });

  it('leave out what could never be read, and are none without sessions', () => {
    expect(
      told.some(({ habit }) => habit.kind === 'follow' && habit.share.what === 'lead-hook' && habit.technique === 'jab'),
    ).to.equal(false);
    expect(habitsOverSessions([])).to.deep.equal([]);
  });
});
