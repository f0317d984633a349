import { expect } from 'chai';
import fc from 'fast-check';
import { daysToLock, usualSpread, type Look } from '../correction/index.ts';
import { dayAfter, daysBetween } from '../days.ts';
import { shippedCatalogue } from '../technique/index.ts';
import {
  comingDays,
  courseProblems,
  creditsBy,
  creditsOf,
  earliestLock,
  isClosed,
  lastOfSet,
  readiness,
  readyCourses,
  testResult,
  thrownInSet,
  usualDaysApart,
  weekOfCourse,
  type Course,
  type MustHaveLooks,
  type Standing,
  type TestLead,
} from './index.ts';

const catalogue = shippedCatalogue;
const [first] = readyCourses as [Course];
const today = '2026-03-02';
const look = (heldOn: string, fault: number, all: number): Look => ({
  heldOn,
  tally: { fault, watch: 0, clean: all - fault, cantSee: 0 },
});
const weekly = (from: string, count: number, apart = 3): string[] =>
  Array.from({ length: count }, (_, place) => dayAfter(from, apart * place));

describe('courses', () => {
  it('that ship name only what there is, and can be read', () => {
    for (const course of readyCourses) expect(courseProblems(course, catalogue), course.name).to.deep.equal([]);
    expect(new Set(readyCourses.map(({ id }) => id)).size).to.equal(readyCourses.length);
  });

  it('tell each mistake with its place', () => {
    const wrong: Course = {
      ...first,
      weeks: [{ techniques: ['tickle'], says: '' }],
      sets: [
        { id: 'a', name: 'Odd', recipe: 'jab, tickle' },
        { id: 'b', name: 'Feints', recipe: 'feint jab' },
      ],
      mustHaves: [
        { technique: 'jab', checkpointId: 'kk.return', rung: 3 },
        { technique: 'jab', checkpointId: 'gd.return-line', rung: 3 },
        { technique: 'jab', checkpointId: 'gd.return-line', rung: 4 },
        { technique: 'tickle', checkpointId: 'gd.return-line', rung: 4 },
      ],
    };
    expect(courseProblems(wrong, catalogue).map(({ place }) => place)).to.deep.equal([
      ...['weeks[0].techniques', 'sets[0].recipe', 'sets[1].recipe'],
      ...['mustHaves[0]', 'mustHaves[2]', 'mustHaves[3]'],
    ]);
  });

  it('know their week by Mondays', () => {
    // A Wednesday: the first week ends with its Sunday.
    const on = (day: string) => weekOfCourse(first, '2026-03-04', day)?.number;
    expect(['2026-03-03', '2026-03-04', '2026-03-08', '2026-03-09', '2026-04-26', '2026-04-27'].map(on)).to.deep.equal([
      ...[undefined, 1, 1, 2, 8, undefined],
    ]);
  });
});

describe('days to come', () => {
  it('are the planned ones, then as often as somebody comes, and none when it is closed', () => {
    const days = comingDays(today, ['2026-03-05', '2026-02-20', '2026-03-03'], 3, [{ from: '2026-03-08', to: '2026-03-12' }]);
    expect(days.slice(0, 4)).to.deep.equal(['2026-03-03', '2026-03-05', '2026-03-14', '2026-03-17']);
    expect(days.at(-1)! <= dayAfter(today, 182)).to.equal(true);
  });

  it('rise, begin today at the earliest, and avoid every closure', () => {
    const someDay = fc.integer({ min: -30, max: 90 }).map((days) => dayAfter(today, days));
    const closure = fc
      .tuple(someDay, fc.integer({ min: 0, max: 20 }))
      .map(([from, days]) => ({ from, to: dayAfter(from, days) }));
    fc.assert(
      fc.property(fc.array(someDay), fc.integer({ min: 1, max: 14 }), fc.array(closure), (planned, apart, closures) => {
        const days = comingDays(today, planned, apart, closures);
        expect([...new Set(days)].sort()).to.deep.equal(days);
        expect(days.every((day) => day >= today && !isClosed(closures, day))).to.equal(true);
      }),
    );
  });

  it('come as far apart as lately', () => {
    expect(usualDaysApart([])).to.equal(7);
    expect(usualDaysApart(['2026-03-02'])).to.equal(7);
    expect(usualDaysApart(['2026-03-10', '2026-03-02', '2026-03-06', '2026-03-06'])).to.equal(4);
    expect(usualDaysApart(['2025-01-01', ...weekly('2026-01-01', 9)])).to.equal(3);
  });
});

describe('credits', () => {
  it('count one a day, and of a week so many at most', () => {
    const days = ['2026-03-02', '2026-03-02', '2026-03-04', '2026-03-08', '2026-03-09'];
    expect([creditsOf(days, 7), creditsOf(days, 2), creditsOf([], 2)]).to.deep.equal([4, 3, 0]);
  });

  it('are enough on the day on which they are, not before', () => {
    const coming = ['2026-03-04', '2026-03-06', '2026-03-09', '2026-03-11'];
    expect(creditsBy(4, 2, ['2026-03-02'], coming)).to.deep.equal({ day: '2026-03-11', sessions: 4 });
    expect(creditsBy(1, 2, [], coming)).to.deep.equal({ day: '2026-03-04', sessions: 1 });
    expect(creditsBy(9, 2, [], coming)).to.equal(undefined);
  });
});

describe('the earliest honest day', () => {
  const clean = (rung: number, heldOn = '2026-02-26'): Map<number, Look[]> =>
    new Map([
      [
        rung,
        weekly('2026-02-05', 7)
          .map((day) => look(day, 0, 24))
          .concat(look(heldOn, 0, 24)),
      ],
    ]);
  const coming = weekly('2026-03-03', 20);

  it('is two looks, at least so many days apart, away for what is clean already', () => {
    const at = earliestLock({ looks: clean(3), rungs: [3], heldOn: null, aim: 0.2 }, coming, usualSpread);
    expect(at).to.deep.equal({ day: '2026-03-09', sessions: 2 });
    const held = earliestLock({ looks: clean(3), rungs: [3], heldOn: '2026-02-26', aim: 0.2 }, coming, usualSpread);
    expect(held).to.deep.equal({ day: '2026-03-03', sessions: 1 });
  });

  it('is later with every rung to climb', () => {
    const dayOf = (rungs: number[]): string => {
      const at = earliestLock({ looks: clean(3), rungs, heldOn: null, aim: 0.2 }, coming, usualSpread);
      return 'never' in at ? at.never : at.day;
    };
    const days = [dayOf([3]), dayOf([3, 4]), dayOf([3, 4, 5])];
    expect([...days].sort()).to.deep.equal(days);
    expect(daysBetween(days[0]!, days[2]!)).to.be.greaterThanOrEqual(2 * daysToLock);
  });

  it('is none where a fault stays as it is, where nothing was seen, and without sessions', () => {
    const stays = new Map([[3, weekly('2026-01-05', 10, 5).map((day) => look(day, 12, 24))]]);
    const why = (looks: Map<number, Look[]>, days: readonly string[]): string => {
      const at = earliestLock({ looks, rungs: [3], heldOn: null, aim: 0.1 }, days, usualSpread);
      return 'never' in at ? at.never : at.day;
    };
    expect(why(stays, coming)).to.include('does not get there');
    expect(why(new Map([[3, [look('2026-02-20', 1, 8)]]]), coming)).to.include('leaves it open');
    expect(why(new Map(), coming)).to.include('never looked at');
    expect(why(clean(3), [])).to.include('No session');
  });

  it('waits for a trend to lead to the aim', () => {
    const falls = new Map([[3, [14, 12, 11, 9, 8, 7].map((fault, week) => look(dayAfter('2026-01-20', 7 * week), fault, 24))]]);
    const at = earliestLock({ looks: falls, rungs: [3], heldOn: null, aim: 0.2 }, weekly('2026-03-03', 50), usualSpread);
    expect(at).to.have.property('day');
    expect(daysBetween('2026-03-03', (at as { day: string }).day)).to.be.greaterThan(7);
  });

  it('is never before two looks could lie apart, whatever was seen', () => {
    const looksOf = fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 20, max: 30 })), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(looksOf, fc.integer({ min: 1, max: 9 }), (counted, apart) => {
        const seen = new Map([[3, counted.map(([fault, all], week) => look(dayAfter('2026-01-05', 7 * week), fault, all))]]);
        const days = weekly('2026-03-03', 12, apart);
        const at = earliestLock({ looks: seen, rungs: [3], heldOn: null, aim: 0.2 }, days, usualSpread);
        if ('never' in at) return;
        expect(days).to.include(at.day);
        expect(daysBetween(days[0]!, at.day)).to.be.greaterThanOrEqual(daysToLock);
        expect(at.sessions).to.be.greaterThanOrEqual(2);
      }),
      { numRuns: 40 },
    );
  });
});

describe('readiness for a test', () => {
  const course: Course = {
    ...first,
    sets: [first.sets[0]!],
    mustHaves: [first.mustHaves[0]!],
    ...{ credits: 2, creditsAWeek: 2 },
  };
  const known = (change: Partial<MustHaveLooks> = {}): MustHaveLooks => ({
    looks: new Map(),
    lockedUpTo: 0,
    worksAt: null,
    ...change,
  });
  const asked = (looks: MustHaveLooks, leads: readonly TestLead[] = ['usual']): Standing['mustHaves'] =>
    leads.map((lead) => ({ ...course.mustHaves[0]!, ...looks, lead, name: 'Jab: way home' }));
  const thrown = (score: number, attempts: number): Standing['sets'] => [
    { setId: course.sets[0]!.id, lead: 'usual', look: { day: '2026-02-24', score, attempts } },
  ];
  const standing = (change: Partial<Standing> = {}): Standing => ({
    ...{ today, attended: ['2026-02-20', '2026-02-24'], coming: weekly('2026-03-03', 20), testOn: null, club: usualSpread },
    ...{ sets: thrown(1, 3), mustHaves: asked(known({ lockedUpTo: 3 })) },
    ...change,
  });

  it('is there when everything is', () => {
    const { ready, earliest, requirements } = readiness(course, standing());
    expect([ready, earliest, requirements.map(({ met }) => met)]).to.deep.equal([true, today, [true, true, true]]);
  });

  it('says of each thing that is missing by when it can be there', () => {
    const { requirements, earliest } = readiness(
      course,
      standing({ sets: thrown(0.8, 1), attended: [], coming: ['2026-03-03', '2026-03-05'] }),
    );
    expect(requirements.map(({ kind, met, earliest: day }) => [kind, met, day])).to.deep.equal([
      ['set', false, '2026-03-03'],
      ['must-have', true, null],
      ['credits', false, '2026-03-05'],
    ]);
    expect(requirements[0]!.has).to.match(/^80% as planned on .*24 Feb.*, 1 attempt$/);
    expect(earliest).to.equal('2026-03-05');
  });

  it('names no day when one thing has none, and says which', () => {
    const { earliest, requirements } = readiness(course, standing({ mustHaves: asked(known()) }));
    expect(earliest).to.equal(null);
    expect(requirements.find(({ kind }) => kind === 'must-have')!.remark).to.include('never looked at');
  });

  it('says what comes too late for the day of the test', () => {
    const looks = new Map([[3, [look('2026-02-20', 0, 24), look('2026-02-23', 0, 24)]]]);
    const { requirements } = readiness(
      course,
      standing({ testOn: '2026-03-04', mustHaves: asked(known({ looks, worksAt: 2 })) }),
    );
    expect(requirements.find(({ kind }) => kind === 'must-have')!.remark).to.match(
      /^Too late for .*4 Mar.*: it takes \d sessions, and 1 is left/,
    );
  });

  it('counts what held twice without a correction, and not what holds no more', () => {
    const at = (...days: [day: string, fault: number][]): MustHaveLooks =>
      known({ looks: new Map([[4, days.map(([day, fault]) => look(day, fault, 30))]]) });
    const met = (mustHave: MustHaveLooks): boolean =>
      readiness(course, standing({ mustHaves: asked(mustHave) })).requirements.find(({ kind }) => kind === 'must-have')!.met;
    expect(met(at(['2026-02-10', 0], ['2026-02-13', 0], ['2026-02-20', 0]))).to.equal(true);
    expect(met(at(['2026-02-17', 0], ['2026-02-20', 0]))).to.equal(false);
    expect(met(at(['2026-02-01', 0], ['2026-02-10', 0], ['2026-02-20', 14]))).to.equal(false);
  });

  it('asks everything with either foot in front where the course does', () => {
    const both = { ...course, bothLeads: true };
    const { requirements } = readiness(both, standing({ mustHaves: asked(known({ lockedUpTo: 3 }), ['usual', 'other']) }));
    expect(requirements.map(({ kind, lead, met }) => [kind, lead, met])).to.deep.equal([
      ['set', 'usual', true],
      ['set', 'other', false],
      ['must-have', 'usual', true],
      ['must-have', 'other', true],
      ['credits', null, true],
    ]);
  });
});

describe('a set in films', () => {
  const set = first.sets[0]!;
  const asked = thrownInSet(set, catalogue)!;
  const thrown = (...groups: (readonly string[])[]) =>
    groups.flatMap((group, turn) => group.map((technique, place) => ({ technique, time: turn * 5000 + place * 300 })));

  it('is told by the last round in which it was called', () => {
    const rounds = [
      { day: '2026-02-01', planned: set.recipe, thrown: thrown(asked.slice(0, 2)) },
      { day: '2026-02-08', planned: `jab; ${set.recipe}`, thrown: thrown(['jab'], asked, ['jab'], asked) },
      { day: '2026-02-09', planned: 'jab, cross', thrown: thrown(asked) },
      { day: '2026-02-10', planned: 'free, 1 to 4', thrown: thrown(asked) },
    ];
    expect(lastOfSet(set, rounds, catalogue)).to.deep.equal({ day: '2026-02-08', score: 1, attempts: 2 });
    expect(lastOfSet(set, rounds.slice(0, 1), catalogue)!.score).to.equal(0.5);
    expect(lastOfSet(set, rounds.slice(2), catalogue)).to.equal(undefined);
  });
});

describe('a test sheet', () => {
  const course: Course = { ...first, mustHaves: [first.mustHaves[0]!], bothLeads: false };
  const asked = thrownInSet(course.sets[0]!, catalogue)!;
  const result = (thrown: readonly string[], clean: number, fault: number, { saidAloud = true, credits = 12 } = {}) =>
    testResult(
      course,
      {
        sets: thrown.length > 0 ? [{ setId: course.sets[0]!.id, lead: 'usual', thrown, saidAloud }] : [],
        mustHaves: [{ ...course.mustHaves[0]!, lead: 'usual', clean, fault }],
      },
      { plannedOf: () => asked, nameOf: () => 'Jab: way home', credits },
    );

  const cases: [what: string, ...Parameters<typeof result>, passed: boolean | undefined][] = [
    ['everything', asked, 10, 0, {}, true],
    ['one left out', asked.slice(1), 10, 0, {}, false],
    ['two in the other order', [asked[1]!, asked[0]!, ...asked.slice(2)], 10, 0, {}, false],
    ['not said aloud', asked, 10, 0, { saidAloud: false }, false],
    ['below the pass mark', asked, 7, 3, {}, false],
    ['at the pass mark', asked, 8, 2, {}, true],
    ['too few strikes', asked, 5, 0, {}, undefined],
    ['no set yet', [], 10, 0, {}, undefined],
    ['credits missing', asked, 10, 0, { credits: 11 }, false],
  ];
  for (const [what, thrown, clean, fault, more, passed] of cases)
    it(`with ${what} is ${passed === undefined ? 'open' : passed ? 'passed' : 'not passed'}`, () =>
      expect(result(thrown, clean, fault, more).passed).to.equal(passed));

  it('gives its reasons', () => {
    const { lines } = result(asked.slice(1), 7, 3);
    expect(lines.map(({ says, passed }) => [says, passed])).to.deep.equal([
      ['75% as it should be, said aloud', false],
      ['7 of 10 clean, 70%', false],
      ['12 of 12', true],
    ]);
  });
});
