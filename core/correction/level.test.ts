import { expect } from 'chai';
import fc from 'fast-check';
import type { Tally } from '../review/index.ts';
import {
  askLevel,
  clubSpread,
  compareLevels,
  fewestSeen,
  levelOver,
  openingOf,
  seriesOf,
  sureEnough,
  tellingLooks,
  upTo,
  usualSpread,
  type Change,
  type SessionLook,
  type TallyOfSession,
} from './index.ts';

const tally = (fault: number, seen: number, watch = 0): Tally => ({ fault, watch, clean: seen - fault - watch, cantSee: 0 });
const dayOf = (day: number): string => new Date(Date.UTC(2026, 0, 5 + day)).toISOString().slice(0, 10);
/** Weekly sessions. @param counted faults of seen */
const weekly = (...counted: [faults: number, seen: number][]): SessionLook[] =>
  counted.map(([faults, seen], week) => ({ sessionId: `s${week}`, heldOn: dayOf(7 * week), tally: tally(faults, seen) }));
const ask = (looks: SessionLook[], aim = 0.15) => askLevel(looks, usualSpread, { openedOn: looks[0]!.heldOn, aim });
const counts = fc.integer({ min: 1, max: 40 }).chain((seen) => fc.tuple(fc.integer({ min: 0, max: seen }), fc.constant(seen)));
const someLooks = fc.array(counts, { minLength: 1, maxLength: 8 }).map((counted) => weekly(...counted));

describe('a level over sessions', () => {
  const table: [what: string, looks: SessionLook[], change: Change | undefined][] = [
    ['one session', weekly([12, 20]), undefined],
    ['a fault that is gone and stays away', weekly([12, 20], [1, 20], [0, 20], [1, 20]), 'better'],
    ['slow real progress', weekly([15, 30], [13, 30], [11, 30], [10, 30], [8, 30], [6, 30], [4, 30]), 'better'],
    ['a fault that came', weekly([1, 24], [2, 24], [12, 24], [14, 24], [13, 24]), 'worse'],
    ['days that differ', weekly([7, 20], [4, 20], [8, 20], [5, 20]), 'no-clear-change'],
    ['one good day', weekly([12, 24], [11, 24], [4, 24]), 'no-clear-change'],
    ['hardly any strikes', weekly([3, 5], [1, 6], [0, 3]), 'too-few'],
  ];
  for (const [what, looks, change] of table)
    it(`of ${what}: ${change ?? 'nothing yet'}`, () => expect(ask(looks).change).to.equal(change));

  it('lies inside its interval at every session, and its chances are chances', () => {
    fc.assert(
      fc.property(someLooks, (looks) => {
        const { levels, fell, rose, atAim } = ask(looks);
        expect(levels).to.have.length(looks.length);
        for (const { low, level, high } of levels) expect(low <= level && level <= high).to.equal(true);
        expect(fell + rose).to.be.within(0, 1 + 1e-9);
        expect(atAim).to.be.within(0, 1 + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('has moved nowhere when only the opening was seen', () => {
    fc.assert(
      fc.property(counts, (one) => {
        const { fell, rose } = ask(weekly(one));
        expect([fell, rose]).to.deep.equal([0, 0]);
      }),
      { numRuns: 20 },
    );
  });

  it('is surer of having fallen the fewer faults were seen at last', () => {
    const fell = [8, 6, 4, 2, 0].map((faults) => ask(weekly([12, 24], [faults, 24], [faults, 24])).fell);
    expect(fell).to.deep.equal([...fell].sort((a, b) => a - b));
    const atAim = [8, 6, 4, 2, 0].map((faults) => ask(weekly([12, 24], [faults, 24])).atAim);
    expect(atAim).to.deep.equal([...atAim].sort((a, b) => a - b));
  });

  it('is told better by the same strikes on three days than on one', () => {
    const onOneDay = ask(weekly([14, 24], [6, 60])).fell;
    const onThree = ask(weekly([14, 24], [2, 20], [2, 20], [2, 20])).fell;
    expect(onThree).to.be.above(onOneDay + 0.1);
  });

  it('takes a watch for half a fault', () => {
    const watched = [12, 12, 12].map((watch, week) => ({
      sessionId: `s${week}`,
      heldOn: dayOf(7 * week),
      tally: tally(0, 24, watch),
    }));
    expect(ask(watched).levels.at(-1)!.level).to.be.closeTo(0.25, 0.05);
  });

  it('says what would settle it, and that many sessions do', () => {
    const looks = weekly([12, 20], [4, 20], [2, 20], [3, 20]);
    const { change, settling, levels } = ask(looks);
    expect(change).to.equal('no-clear-change');
    expect(settling!.sessions).to.be.within(1, 6);
    const faults = levels.at(-1)!.level * settling!.strikes;
    const more = Array.from({ length: settling!.sessions }, (): [number, number] => [faults, settling!.strikes]);
    expect(ask(weekly([12, 20], [4, 20], [2, 20], [3, 20], ...more)).fell).to.be.at.least(sureEnough);
  });

  it('names the week in which a slow progress is likely at its aim, and none when it is there or stands still', () => {
    const slow = weekly([18, 30], [16, 30], [14, 30], [12, 30], [10, 30], [8, 30], [6, 30]);
    expect(ask(slow).weeksToAim).to.be.within(1, 8);
    expect(ask(weekly([1, 30], [0, 30], [1, 30])).weeksToAim).to.equal(undefined);
    expect(ask(weekly([15, 30], [15, 30], [15, 30])).weeksToAim).to.equal(undefined);
  });

  it('answers thirty sessions and more, whatever lies between them', () => {
    const many = weekly(...Array.from({ length: 120 }, (_, week): [number, number] => [week % 7, 20]));
    many[60]!.heldOn = many[59]!.heldOn;
    expect(ask(many).levels.length).to.be.at.most(45);
    expect(() => askLevel([], usualSpread, {})).to.throw(RangeError);
  });
});

describe('two levels', () => {
  const compared = (first: SessionLook[], second: SessionLook[]) => compareLevels(first, second, usualSpread, 0.1);

  it('are told apart when they are, and not when they are not', () => {
    expect(compared(weekly([1, 20], [1, 20], [0, 20]), weekly([12, 20], [11, 20], [13, 20])).higher).to.be.above(0.9);
    const alike = compared(weekly([4, 20], [5, 20]), weekly([5, 20], [4, 20]));
    expect(Math.max(alike.higher, alike.lower)).to.be.below(0.4);
  });

  it('change places when they are asked the other way round', () => {
    fc.assert(
      fc.property(someLooks, someLooks, (one, other) => {
        const [there, back] = [compared(one, other), compared(other, one)];
        expect(there.higher).to.be.closeTo(back.lower, 0.02);
        expect(there.first).to.deep.equal(back.second);
      }),
      { numRuns: 15 },
    );
  });
});

describe('what a club’s series tell', () => {
  const random = (() => {
    let seed = 5;
    return (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  })();
  const binomial = (n: number, p: number): number => Array.from({ length: n }, random).filter((one) => one < p).length;
  /** @param ofDay what a day adds to the rate, from −1 to 1 */
  const club = (ofDay: number, moves: number) =>
    Array.from({ length: 40 }, () => ({
      looks: weekly(
        ...Array.from({ length: 6 }, (_, week): [number, number] => {
          const rate = 0.45 - (moves * week) / 5 + ofDay * (random() * 2 - 1);
          return [binomial(30, Math.min(0.95, Math.max(0.02, rate))), 30];
        }),
      ),
    }));
  const steady = clubSpread(club(0, 0));
  const uneven = clubSpread(club(0.3, 0));
  const moving = clubSpread(club(0, 0.35));

  it('is a whole, whatever they are', () => {
    for (const spread of [usualSpread, steady, uneven, moving])
      expect(spread.shares.flat().reduce((sum, share) => sum + share, 0)).to.be.closeTo(1, 1e-9);
    expect(clubSpread([{ looks: weekly([1, 20]) }])).to.equal(usualSpread);
  });

  it('makes one session say more where days are alike than where they are not', () => {
    const looks = weekly([14, 24], [3, 24], [3, 24]);
    const fell = [steady, uneven].map(
      (spread) => levelOver(looks, spread, { opening: 0, aim: 0.15, worthwhile: 0.1, worked: false }).fell,
    );
    expect(fell[0]).to.be.above(0.8);
    expect(fell[1]).to.be.below(0.6);
  });

  it('makes a change likelier where levels move', () => {
    const looks = weekly([14, 24], [9, 24], [7, 24]);
    const fell = [steady, moving].map(
      (spread) => levelOver(looks, spread, { opening: 0, aim: 0.15, worthwhile: 0.1, worked: false }).fell,
    );
    expect(fell[1]).to.be.above(fell[0]!);
  });
});

describe('the series of a trainee', () => {
  const row = (sessionId: string, heldOn: string, change: Partial<TallyOfSession> = {}): TallyOfSession => ({
    sessionId,
    heldOn,
    rung: 3,
    view: 'lead-side',
    technique: 'jab',
    checkpointId: 'gd.return-line',
    tally: tally(3, 12),
    ...change,
  });

  it('are told apart by technique, checkpoint and rung, and go from the oldest session to the newest', () => {
    const all = seriesOf([
      row('b', '2026-03-08'),
      row('a', '2026-03-08'),
      row('c', '2026-03-01'),
      row('d', '2026-03-09', { rung: 4 }),
      row('a', '2026-03-08', { technique: 'cross' }),
    ]);
    expect(
      all.map(({ technique, rung, looks }) => [technique, rung, looks.map(({ sessionId }) => sessionId).join('')]),
    ).to.deep.equal([
      ['jab', 3, 'cab'],
      ['jab', 4, 'd'],
      ['cross', 3, 'a'],
    ]);
  });

  it('count two views of a session once, and leave out what could not be seen', () => {
    const [one] = seriesOf([
      row('a', '2026-03-01', { tally: tally(2, 20) }),
      row('a', '2026-03-01', { tally: tally(1, 8), view: 'front' }),
      row('b', '2026-03-08', { tally: { ...tally(0, 0), cantSee: 9 } }),
    ]);
    expect(one!.looks.map(({ tally: { fault } }) => fault)).to.deep.equal([2]);
  });

  const looks = weekly([1, 9], [1, 9], [1, 9], [1, 9]);
  it('end with the session that is asked', () => {
    expect(upTo(looks, 's1').map(({ sessionId }) => sessionId)).to.deep.equal(['s0', 's1']);
    expect(upTo(looks, 'elsewhere')).to.deep.equal([]);
  });

  const openings: [what: string, openedOn: string | undefined, place: number][] = [
    ['the session of the opening', dayOf(7), 1],
    ['the last one before it', dayOf(10), 1],
    ['the first one after it', dayOf(-3), 0],
    ['the last one of all', dayOf(99), 3],
    ['the first of the last twelve weeks', undefined, 0],
  ];
  for (const [what, openedOn, place] of openings)
    it(`are held against ${what}`, () => expect(openingOf(looks, openedOn)).to.equal(place));

  it('ask nothing of what was more than twelve weeks ago, unless there is nothing else', () => {
    const far = [{ ...looks[0]!, heldOn: '2025-06-01' }, ...looks.slice(1)];
    expect(openingOf(far, undefined)).to.equal(1);
    expect(openingOf(far.slice(0, 1), undefined)).to.equal(0);
  });

  it('keep the opening, what leads to it and the newest looks when there are many', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.nat(199), (count, at) => {
        const many = Array.from({ length: count }, (_, place) => ({ heldOn: dayOf(place), tally: tally(1, fewestSeen), place }));
        const opening = Math.min(at, count - 1);
        const told = tellingLooks(many, opening);
        expect(told.looks[told.opening]!.place).to.equal(opening);
        expect(told.looks.at(-1)!.place).to.equal(count - 1);
        expect(told.looks.length).to.be.at.most(45);
        expect(told.looks.map(({ place }) => place)).to.deep.equal(
          [...new Set(told.looks.map(({ place }) => place))].sort((a, b) => a - b),
        );
      }),
    );
  });
});
