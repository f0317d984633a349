import { expect } from 'chai';
import { filmingPlanShape, rememberedPlan, rememberPlan, usualPlan } from './filming-settings.ts';

describe('a plan to film by', () => {
  const { localStorage } = globalThis;
  const kept = new Map<string, string>();
  before(() =>
    Object.assign(globalThis, {
      localStorage: {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => kept.set(key, value),
      },
    }),
  );
  beforeEach(() => kept.clear());
  after(() => Object.assign(globalThis, { localStorage }));

  it('is the usual one at first, and then that of last time', () => {
    expect(rememberedPlan()).to.deep.equal(usualPlan);
    rememberPlan({ ...usualPlan, rounds: 5, view: 'front', bell: false });
    expect(rememberedPlan()).to.deep.equal({ ...usualPlan, rounds: 5, view: 'front', bell: false });
  });
  it('that no longer holds, or cannot be read, is the usual one again', () => {
    rememberPlan({ ...usualPlan, work: 1 });
    expect(rememberedPlan()).to.deep.equal(usualPlan);
    for (const key of kept.keys()) kept.set(key, '{"rounds": ');
    expect(rememberedPlan()).to.deep.equal(usualPlan);
  });
  const wrong: [change: Record<string, unknown>, reason: RegExp][] = [
    [{ rounds: 0 }, /Rounds: at least 1/],
    [{ rounds: 31 }, /Rounds: at most 30/],
    [{ work: 4 }, /Work: at least 5/],
    [{ work: undefined }, /Work: a number/],
    [{ rest: -1 }, /Rest: at least 0/],
    [{ rest: 12.5 }, /Rest: a whole number/],
    [{ ready: 'soon' }, /Get ready: a number/],
    [{ view: 'above' }, /view/],
  ];
  for (const [change, reason] of wrong) {
    it(`is refused with a reason: ${reason.source}`, () => {
      expect(() => filmingPlanShape.validateSync({ ...usualPlan, ...change })).to.throw(reason);
    });
  }
});
