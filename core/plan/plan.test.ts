import { expect } from 'chai';
import fc from 'fast-check';
import { anyWish } from './any-wish.test-data.ts';
import { shippedDrills } from '../drills/index.ts';
import { ageGroups, grades } from '../trainee/index.ts';
import {
  doneParts,
  elapsedOn,
  eventsBetween,
  eventsOf,
  hasLeads,
  impactRounds,
  lapsWithin,
  leadChangesAt,
  lastThird,
  learning,
  makePlan,
  movedTo,
  noteWork,
  partLength,
  partsLength,
  partStarts,
  paused,
  planProblems,
  resumed,
  rotationLength,
  rotationOf,
  rulesFor,
  stretchAt,
  stretchesOf,
  watching,
  workOfLeads,
  type PlannedCorrection,
  type PlanWish,
} from './index.ts';

const touchHome: PlannedCorrection = {
  ...{ id: 'one', technique: 'jab', techniqueName: 'Jab', checkpointId: 'gd.return-line', checkpointName: 'Comes back high' },
  ...{ cue: 'Touch home', rung: 3, due: true, strikes: 16, view: 'lead-side', rate: 50 },
};
const rearTurn: PlannedCorrection = {
  ...{ id: 'two', technique: 'cross', techniqueName: 'Cross', checkpointId: 'pv.rear-turn', checkpointName: 'Rear foot turns' },
  ...{ cue: 'Heel up', rung: 3, due: false, strikes: null, view: 'rear-side', rate: 0 },
};
const wish = (change: Partial<Omit<PlanWish, 'who'>> & { who?: Partial<PlanWish['who']> } = {}): PlanWish => ({
  ...{ length: 3600, leads: 'both alike', corrections: [touchHome, rearTurn], impactThisWeek: 0, drills: shippedDrills },
  technique: { id: 'lead-hook', name: 'Lead hook' },
  ...change,
  who: {
    ...{ grade: 'improver', ageGroup: 'adult', limits: [], kit: ['heavy bag', 'focus mitts'], holder: true, partner: true },
    ...change.who,
  },
});
const kinds = (asked: PlanWish): string[] => makePlan(asked).parts.map(({ kind }) => kind);
const problemsOf = (asked: PlanWish, { parts, change } = makePlan(asked)) => planProblems(parts, { ...asked, change });

describe('a session', () => {
  it('is none for somebody who rests after a blow to the head, and a plan made before breaks the rule', () => {
    const resting = wish({ who: { limits: ['head'], rests: true } });
    expect(makePlan(resting)).to.deep.include({ parts: [] });
    expect(makePlan(resting).leftOut[0]!.why).to.include('rest');
    const before = makePlan(wish());
    expect(problemsOf(resting, before).some(({ hard, says }) => hard && says.includes('rest'))).to.equal(true);
  });

  it('goes from warm-up over low and one rung up to technique, free round, re-check and cool-down', () => {
    expect([...new Set(kinds(wish()))]).to.deep.equal(['warm-up', 'low', 'up', 'technique', 'free', 're-check', 'cool-down']);
    const { parts } = makePlan(wish());
    const [low, up] = [parts.find(({ kind }) => kind === 'low')!, parts.find(({ kind }) => kind === 'up')!];
    expect([low.drillId, up.drillId]).to.deep.equal(['touch-home', 'touch-home-bag']);
    expect(low.rung!).to.be.below(up.rung!);
  });

  it('films what settles a question: so many strikes, from where a camera tells it', () => {
    const check = makePlan(wish()).parts.find(({ kind, correctionId }) => kind === 're-check' && correctionId === 'one')!;
    expect(check.shot).to.deep.equal({ view: 'lead-side', rate: 50, strikes: 16 });
    expect(check).to.include({ cue: '', rung: 3, on: 'heavy bag', rounds: 1 });
  });

  it('takes two rounds where one does not show enough strikes, and half of it is better than none', () => {
    const many = wish({ corrections: [{ ...touchHome, strikes: 60 }] });
    expect(makePlan(many).parts.find(({ kind }) => kind === 're-check')!.rounds).to.equal(2);
  });

  it('never breaks a hard rule, whoever trains and whatever is there', () => {
    fc.assert(
      fc.property(anyWish, (asked) => {
        const made = makePlan(asked);
        if (made.parts.length > 0) expect(problemsOf(asked, made).filter(({ hard }) => hard)).to.deep.equal([]);
      }),
      { numRuns: 400 },
    );
  });

  it('never takes longer than there is, and its times add up to the second', () => {
    fc.assert(
      fc.property(anyWish, (asked) => {
        const { parts, change } = makePlan(asked);
        const stretches = stretchesOf(parts, change, 0);
        const sum = stretches.reduce((all, { from, to }) => all + to - from, 0) / 1000;
        expect(sum).to.equal(partsLength(parts, change));
        expect(sum).to.be.at.most(asked.length);
        stretches.forEach(({ from }, place) => expect(from).to.equal(stretches[place - 1]?.to ?? 0));
        const starts = partStarts(parts, change);
        parts.forEach((_, place) =>
          expect(starts[place]! * 1000).to.equal(stretches.find(({ part, kind }) => part === place && kind === 'work')!.from),
        );
      }),
      { numRuns: 200 },
    );
  });

  it('gives both leads the same, or the other one more, and says so when it does not', () => {
    fc.assert(
      fc.property(anyWish, (asked) => {
        const { usual, other } = workOfLeads(makePlan(asked).parts);
        if (asked.leads === 'both alike') expect(usual).to.be.closeTo(other, 1e-9);
        else expect(other).to.be.at.least(usual);
      }),
      { numRuns: 200 },
    );
    const one = wish({ leads: 'usual only' });
    expect(
      problemsOf(one)
        .map(({ says }) => says)
        .join(),
    ).to.match(/^The usual lead works \d+:\d\d, the other 0:00\.$/);
  });

  it('is worth no less with more minutes, and no more with fewer', () => {
    const rounds = (length: number): number => makePlan(wish({ length })).parts.reduce((sum, part) => sum + part.rounds, 0);
    const each = [15, 20, 30, 45, 60, 75, 90].map((minutes) => rounds(minutes * 60));
    expect(each).to.deep.equal([...each].sort((a, b) => a - b));
  });

  it('drops what is worth least first, and says of everything that was asked for why it is not there', () => {
    const { parts, leftOut } = makePlan(wish({ length: 25 * 60 }));
    expect(parts.map(({ kind }) => kind)).to.include.members(['warm-up', 're-check', 'cool-down']);
    expect(leftOut).not.to.be.empty;
    for (const { what, why } of leftOut) expect(why, what).to.match(/\.$/);
    expect(leftOut.map(({ why }) => why).join(' ')).to.include('left');
  });

  it('says that warm-up and cool-down alone do not fit', () => {
    expect(makePlan(wish({ length: 300 }))).to.deep.include({
      parts: [],
      leftOut: [{ what: 'A session', why: 'Warm-up and cool-down alone take 10:00.' }],
    });
  });

  it('hits nothing after a blow to the head, and says whose word it waits for', () => {
    const { parts, leftOut } = makePlan(wish({ who: { limits: ['head'] } }));
    expect(impactRounds(parts)).to.equal(0);
    expect(parts.every(({ on }) => on === 'shadowboxing')).to.equal(true);
    expect(leftOut.map(({ why }) => why).join()).to.include('until a doctor has cleared it');
  });

  it('stays within the hard rounds of a child, and of a week', () => {
    const child = wish({ length: 90 * 60, who: { ageGroup: 'child', grade: 'beginner' } });
    expect(impactRounds(makePlan(child).parts)).to.be.at.most(2);
    const { parts, leftOut } = makePlan({ ...child, impactThisWeek: 5 });
    expect(impactRounds(parts)).to.be.at.most(1);
    expect(leftOut.map(({ why }) => why).join()).to.include('left of this week’s 6');
  });

  it('without pads or a holder says what it cannot re-check', () => {
    const padded = wish({ corrections: [{ ...touchHome, rung: 5 }], who: { holder: false } });
    expect(makePlan(padded).leftOut).to.deep.include({
      what: 'Jab: Comes back high, re-check',
      why: '“Pads, called” needs pads and somebody who holds.',
    });
  });

  it('works on two corrections at a time; a third one waits', () => {
    const third = { ...rearTurn, id: 'three', technique: 'lead-hook', techniqueName: 'Lead hook' };
    const { parts, leftOut } = makePlan(wish({ length: 7200, corrections: [touchHome, rearTurn, third] }));
    expect(parts.filter(({ kind }) => kind === 'low').map(({ correctionId }) => correctionId)).to.deep.equal(['one', 'two']);
    expect(leftOut.map(({ why }) => why).join()).to.include('this one waits');
  });

  it('is made within a fifth of a second, however much there is to choose from', () => {
    const five = ['one', 'two', 'three', 'four', 'five'].map((id) => ({ ...touchHome, id, strikes: 60 }));
    const began = performance.now();
    for (let time = 0; time < 5; time++) makePlan(wish({ length: 120 * 60, corrections: five }));
    expect((performance.now() - began) / 5).to.be.below(200);
  });
});

describe('a plan that was changed by hand', () => {
  const asked = wish();
  const { parts, change } = makePlan(asked);
  const says = (changed: typeof parts, ground: Partial<PlanWish> = {}): string[] =>
    planProblems(changed, { ...asked, ...ground, change }).map(({ says: words }) => words);

  it('says what it breaks', () => {
    expect(says(parts)).to.deep.equal([]);
    expect(says(parts, { length: 600 })[0]).to.match(/longer than there is/);
    expect(says(parts.slice(1))).to.include('It does not begin with a warm-up.');
    expect(says(parts.slice(0, -1))).to.include('It does not end with a cool-down.');
    expect(says(parts.map((part) => ({ ...part, rounds: part.impact ? 9 : part.rounds }))).join()).to.match(
      /a session are the most here/,
    );
    expect(says(parts.map((part) => ({ ...part, work: part.kind === 'up' ? 600 : part.work }))).join()).to.match(
      /Rounds of at most 3:00/,
    );
    expect(says(parts, { who: { ...asked.who, limits: ['wrist'] } }).join()).to.match(/It loads the wrist/);
    expect(says(parts.filter(({ kind }) => kind !== 'low'))).to.include('One rung up without the low round before it.');
  });

  it('has nothing new in its last third', () => {
    const low = parts.find(({ kind }) => kind === 'low')!;
    const late = [...parts.filter(({ kind }) => !learning.includes(kind)).slice(0, -1), low, parts.at(-1)!];
    const begins = partStarts(late, change)[late.indexOf(low)]!;
    expect(begins).to.be.above(partsLength(late, change) * lastThird);
    expect(says(late).join()).to.include('last third');
  });
});

describe('the clock of the floor', () => {
  const { parts, change } = makePlan(wish());
  const stretches = stretchesOf(parts, change);

  it('runs through getting ready, work, rest and changes, and ends', () => {
    expect(stretches[0]).to.include({ kind: 'ready', from: 0, to: 10_000 });
    expect(stretches[1]).to.include({ kind: 'work', part: 0, round: 1 });
    expect(stretches.filter(({ kind }) => kind === 'change')).to.have.length(parts.length - 1);
    expect(stretchAt(stretches, 10_000)).to.equal(stretches[1]);
    expect(stretchAt(stretches, stretches.at(-1)!.to)).to.equal(undefined);
  });

  it('changes the lead half way where both work', () => {
    for (const { kind, part, from, to, leadChangesAt: at } of stretches)
      expect(at).to.equal(kind === 'work' && hasLeads(parts[part]!) ? (to - from) / 2 : null);
    expect(leadChangesAt({ kind: 'up', work: 120, leads: 'other more' })).to.equal(48);
  });

  it('is paused, goes on, and jumps, and a clock that is put back undoes nothing', () => {
    const running = resumed({ ran: 0, since: null }, 1000);
    expect(elapsedOn(running, 4000)).to.equal(3000);
    const standing = paused(running, 5000);
    expect(elapsedOn(standing, 99_000)).to.equal(4000);
    expect(elapsedOn(resumed(standing, 10_000), 12_000)).to.equal(6000);
    expect(elapsedOn(movedTo(running, 60_000, 9000), 10_000)).to.equal(61_000);
    expect(elapsedOn(movedTo(standing, 60_000, 9000), 10_000)).to.equal(60_000);
    expect(elapsedOn(running, 0)).to.equal(0);
  });

  it('tells what was done: whole rounds, and the seconds of those that were broken off', () => {
    const done = [
      { part: 1, round: 1, worked: 60_000, whole: true },
      { part: 1, round: 2, worked: 20_400, whole: false },
      { part: 0, round: 1, worked: 300_000, whole: true },
      { part: 1, round: 2, worked: 5000, whole: false },
      { part: 2, round: 1, worked: 200, whole: false },
    ];
    expect(doneParts(done)).to.deep.equal([
      { part: 0, rounds: 1, worked: 300 },
      { part: 1, rounds: 1, worked: 80 },
    ]);
  });
});

describe('what is heard on the floor', () => {
  const { parts, change } = makePlan(wish());
  const stretches = stretchesOf(parts, change);
  const work = stretches.find(({ kind, leadChangesAt: at }) => kind === 'work' && at !== null)!;
  const rest = stretches.find(({ kind }) => kind === 'change')!;
  const call = { at: 5000, combination: [] };

  it('is a bell, a warning, the other lead, calls in their order, and a bell', () => {
    expect(eventsOf(work, [call]).map(({ kind }) => kind)).to.deep.equal(['begins', 'call', 'other lead', 'warns', 'ends']);
    expect(eventsOf(rest, []).map(({ kind }) => kind)).to.deep.equal(['warns']);
    expect(eventsOf({ ...rest, to: rest.from + 15_000 }, [])).to.deep.equal([]);
  });

  it('is heard once, and not at all by who comes back later', () => {
    const events = eventsOf(work, [call]);
    const heard = (before: number, now: number) => eventsBetween(events, before, now).map(({ kind }) => kind);
    expect(heard(work.from - 50, work.from + 50)).to.deep.equal(['begins']);
    expect(heard(work.from + 50, work.from + 150)).to.deep.equal([]);
    expect(heard(work.from - 50, work.to)).to.deep.equal([]);
  });

  it('and what was worked is noted, whoever looks, but for what was skipped', () => {
    const [first, second] = stretches.filter(({ kind }) => kind === 'work');
    const some = noteWork([], stretches, first!.from, first!.from + 30_000);
    expect(some).to.deep.equal([{ part: 0, round: 1, worked: 30_000, whole: false }]);
    const gone = noteWork(some, stretches, first!.from + 30_000, second!.from + 1000);
    expect(gone.map(({ whole }) => whole)).to.deep.equal([true, false]);
    const skipped = noteWork(some, stretches, second!.from, second!.from + 1000);
    expect(skipped[0]).to.deep.equal(some[0]);
    expect(noteWork(gone, stretches, first!.from, first!.from + 5)[0]!.worked).to.equal(first!.to - first!.from);
  });
});

describe('a group at stations', () => {
  const bags = { name: 'Heavy bag', takes: 2 };
  const pads = { name: 'Pads', takes: 1 };
  const air = { name: 'Shadow', takes: 16 };
  const anyGroup = fc.record({
    people: fc.integer({ min: 1, max: 16 }).map((count) => Array.from({ length: count }, (_, place) => `P${place}`)),
    stations: fc.array(fc.record({ name: fc.constant('S'), takes: fc.integer({ min: 1, max: 8 }) }), {
      minLength: 1,
      maxLength: 6,
    }),
  });

  it('two and one holder change places', () => {
    expect(rotationOf(['Ann', 'Bo'], [pads, bags]).turns).to.deep.equal([
      [['Ann'], ['Bo']],
      [['Bo'], ['Ann']],
    ]);
  });

  it('has everybody at one place in every turn, nobody too many, and everybody as often everywhere', () => {
    fc.assert(
      fc.property(anyGroup, ({ people, stations }) => {
        const rotation = rotationOf(people, stations);
        for (const turn of rotation.turns) {
          expect(turn.flat().sort()).to.deep.equal([...people].sort());
          turn.forEach((there, place) => expect(there.length).to.be.at.most(rotation.stations[place]!.takes));
        }
        rotation.stations.forEach((_, place) => {
          const visits = people.map((one) => rotation.turns.filter((turn) => turn[place]!.includes(one)).length);
          expect(Math.max(...visits)).to.equal(Math.min(...visits));
        });
      }),
    );
  });

  it('watches where there is no room', () => {
    const { stations, turns } = rotationOf(['A', 'B', 'C'], [pads, pads]);
    expect(stations.at(-1)).to.deep.equal({ name: watching, takes: 1 });
    expect(turns).to.have.length(3);
  });

  it('knows how long it takes, and how often it goes round', () => {
    const rotation = rotationOf(['A', 'B', 'C', 'D'], [bags, air]);
    expect(rotationLength(rotation, 120, 60)).to.equal(300);
    expect(lapsWithin(rotation, 120, 60, 700)).to.equal(2);
    expect(lapsWithin(rotation, 120, 60, 200)).to.equal(0);
  });

  it('is no larger than one coach can look after', () => {
    const crowd = Array.from({ length: 17 }, (_, place) => `P${place}`);
    expect(() => rotationOf(crowd, [air])).to.throw(RangeError, 'From 1 to 16 people.');
    expect(() => rotationOf([], [air])).to.throw(RangeError);
    expect(() => rotationOf(['A'], [{ name: 'Nowhere', takes: 0 }])).to.throw(RangeError, 'takes somebody');
  });
});

describe('rules of the floor', () => {
  it('ask less of who is younger or newer, and of an unknown age no more than of a youth', () => {
    for (const grade of grades) {
      const [child, youth, adult] = ageGroups.map((ageGroup) => rulesFor({ grade, ageGroup }));
      expect(child!.impactASession).to.be.below(youth!.impactASession);
      expect(youth!.impactASession).to.be.below(adult!.impactASession);
      expect(rulesFor({ grade, ageGroup: null })).to.deep.equal(youth);
      expect(partLength({ rounds: 3, work: adult!.work, rest: adult!.rest })).to.be.at.least(480);
    }
  });
});
