import { expect } from 'chai';
import fc from 'fast-check';
import { dayAfter, weekOf } from '../days.ts';
import { shippedDrills } from '../drills/index.ts';
import { anyWish } from './any-wish.test-data.ts';
import {
  impactRounds,
  makePair,
  needsHolder,
  partLength,
  partsLength,
  planProblems,
  planWeek,
  rulesFor,
  weekProblems,
  type PlanPart,
  type PlanWish,
  type WeekCorrection,
  type WeekPerson,
} from './index.ts';

const week = weekOf('2026-03-02');
const [monday, tuesday, , thursday, , saturday] = week as [string, string, string, string, string, string, string];
const correction = (id: string, recheckOn: string | null, relapsed = false): WeekCorrection => ({
  ...{ id, technique: 'jab', techniqueName: 'Jab', checkpointId: 'gd.return-line', checkpointName: id, cue: 'Touch home' },
  ...{ rung: 3, strikes: 12, view: 'lead-side', rate: 50, recheckOn, relapsed },
});
const person = (change: Partial<WeekPerson> = {}): WeekPerson => ({
  ...{ id: 'maren', name: 'Maren', length: 3600, leads: 'both alike', drills: shippedDrills, days: [monday, thursday, saturday] },
  who: { grade: 'improver', ageGroup: 'adult', limits: [], kit: ['heavy bag'], holder: false, partner: false },
  ...{
    standing: [],
    corrections: [],
    techniques: [
      { id: 'cross', name: 'Cross' },
      { id: 'lead-hook', name: 'Lead hook' },
    ],
  },
  ...change,
});
const always = (): boolean => true;
const rechecked = (parts: readonly PlanPart[]): (string | null)[] =>
  parts.filter(({ kind }) => kind === 're-check').map(({ correctionId }) => correctionId);

describe('a planned week', () => {
  it('looks again at everything once, on the first day from its own on', () => {
    const corrections = [correction('late', '2026-02-20'), correction('thu', thursday), correction('next', '2026-03-20')];
    const { plans, leftOut } = planWeek([person({ corrections })], always);
    expect(plans.map(({ day, made }) => [day, rechecked(made.parts)])).to.deep.equal([
      [monday, ['late']],
      [thursday, ['thu']],
      [saturday, []],
    ]);
    expect(leftOut).to.deep.equal([]);
  });

  it('puts two at most into a session, and says what no session takes', () => {
    const corrections = ['a', 'b', 'c', 'd', 'e'].map((id) => correction(id, monday));
    const { plans, leftOut } = planWeek([person({ corrections, days: [monday, thursday], length: 7200 })], always);
    expect(plans.map(({ made }) => rechecked(made.parts).length)).to.deep.equal([2, 2]);
    expect(leftOut.map(({ what }) => what)).to.deep.equal(['Jab: e, re-check']);
    const after = planWeek([person({ corrections: [correction('sat', saturday)], days: [monday] })], always);
    expect(after.plans.map(({ made }) => rechecked(made.parts))).to.deep.equal([[]]);
  });

  it('takes another technique of the week each time, none on closed days, and fewer hard rounds after a hard day', () => {
    const { plans, leftOut } = planWeek([person({ days: [monday, tuesday, thursday] })], (day) => day !== thursday);
    expect(plans.map(({ technique }) => technique)).to.deep.equal(['cross', 'lead-hook']);
    expect(leftOut[0]!.why).to.equal('Nobody trains on that day.');
    const most = rulesFor(person().who).impactASession;
    const after = planWeek([person({ days: [tuesday], standing: [{ day: monday, impact: most }] })], always);
    expect(impactRounds(after.plans[0]!.made.parts)).to.be.at.most(most / 2);
  });

  it('breaks no rule, of whatever sort people are, and shares the hard rounds of the week', () => {
    const someDays = fc.subarray(week, { minLength: 1 });
    const due = fc.array(fc.option(fc.integer({ min: -10, max: 20 })), { maxLength: 5 });
    fc.assert(
      fc.property(
        anyWish,
        someDays,
        due,
        fc.integer({ min: 0, max: 12 }),
        ({ corrections, technique, ...asked }, days, when, impact) => {
          const one: WeekPerson = {
            ...{ id: 'a', name: 'A', ...asked, days, standing: impact > 0 ? [{ day: dayAfter(monday, -1), impact }] : [] },
            techniques: technique ? [technique] : [],
            corrections: corrections.map(({ due: isDue, ...each }, place) => ({
              ...{ ...each, relapsed: isDue && place === 0 },
              recheckOn: typeof when[place] === 'number' ? dayAfter(monday, when[place]) : null,
            })),
          };
          const { plans } = planWeek([one], always);
          expect(plans.map(({ day }) => day)).to.deep.equal(days);
          let impactThisWeek = 0;
          for (const { made } of plans) {
            const problems = planProblems(made.parts, { ...asked, impactThisWeek, change: made.change });
            if (made.parts.length > 0) expect(problems.filter(({ hard }) => hard)).to.deep.equal([]);
            impactThisWeek += impactRounds(made.parts);
          }
          const looked = plans.flatMap(({ made }) => rechecked(made.parts));
          expect(new Set(looked).size).to.equal(looked.length);
          const rows = plans.map(({ day, made }, place) => ({
            ...{ id: String(place), traineeId: 'a', traineeName: 'A', day, impact: impactRounds(made.parts) },
          }));
          expect(weekProblems(rows, () => asked.who)).to.deep.equal([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('two with one holder', () => {
  /** From when to when somebody is held for. */
  const held = ({ parts, change }: { parts: readonly PlanPart[]; change: number }): [number, number][] => {
    let at = 0;
    return parts.flatMap((part) => {
      const span: [number, number] = [at, at + partLength(part)];
      at = span[1] + change;
      return needsHolder(part, shippedDrills) ? [span] : [];
    });
  };

  it('are never held for at the same time, keep the rules, and take no longer than there is', () => {
    fc.assert(
      fc.property(anyWish, anyWish, (one, other) => {
        const there = { kit: [...new Set([...one.who.kit, 'focus mitts' as const])], holder: true };
        const withHolder = (wish: PlanWish): PlanWish => ({
          ...{ ...wish, length: Math.max(one.length, 1500) },
          who: { ...wish.who, ...there },
        });
        const [a, b] = [withHolder(one), withHolder(other)];
        const { first, second } = makePair(a, b);
        for (const [from, to] of held(first)) for (const [f, t] of held(second)) expect(f < to && t > from).to.equal(false);
        for (const [made, wish] of [
          [first, a],
          [second, b],
        ] as const) {
          if (made.parts.length === 0) continue;
          expect(partsLength(made.parts, made.change)).to.be.at.most(wish.length);
          const problems = planProblems(made.parts, { ...wish, change: made.change });
          expect(problems.filter(({ hard }) => hard)).to.deep.equal([]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('wait where they have to, and are told so', () => {
    const wish: PlanWish = {
      ...{ length: 3000, leads: 'both alike', corrections: [], technique: null, impactThisWeek: 0, drills: shippedDrills },
      who: { grade: 'improver', ageGroup: 'adult', limits: [], kit: ['focus mitts'], holder: true, partner: false },
    };
    const { first, second } = makePair(wish, wish);
    expect(first.parts.some((part) => needsHolder(part, shippedDrills))).to.equal(true);
    expect(second.parts.map(({ kind }) => kind)).to.include('wait');
  });
});
