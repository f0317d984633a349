import { expect } from 'chai';
import { fallHabits, fallingHand, type RateOfTechnique } from './falling-hands.ts';
import { isReadable } from './habits.ts';

const rate = (technique: string, strikes: number, low: number): RateOfTechnique => ({
  ...{ technique, checkpointId: fallingHand, strikes, rate: low + 0.2, low, high: low + 0.4, watch: 2, fault: strikes / 2 },
});
const value = (strikeId: string, technique: string, far: number) => ({
  ...{ strikeId, technique, checkpointId: fallingHand, value: far },
});
const kinds = new Map([
  ['round', 'kick'],
  ['knee', 'knee'],
  ['jab', 'hand'],
] as const);
const kindOf = (technique: string) => kinds.get(technique as 'round');

describe('hands that fall', () => {
  it('are told of kicks and knees, with the strike in which one falls farthest', () => {
    const values = [value('a', 'round', 0.1), value('b', 'round', 0.4), value('c', 'jab', 0.9)];
    const told = fallHabits([rate('round', 12, 0.4), rate('jab', 30, 0.6), rate('knee', 10, 0.1)], values, kindOf);
    expect(told.map(({ technique }) => technique)).to.deep.equal(['round', 'knee']);
    expect(told[0]!.share).to.deep.include({ times: 7, of: 12, proof: ['b'] });
    expect(told.map(isReadable)).to.deep.equal([true, false]);
  });

  it('are told once of a kick that was filmed from two sides, from the one that saw more; few kicks say nothing', () => {
    const [told, ...others] = fallHabits([rate('round', 4, 0.5), rate('round', 7, 0.4)], [], kindOf);
    expect(others).to.have.length(0);
    expect(told!.share.of).to.equal(7);
    expect(isReadable(told!)).to.equal(false);
  });

  it('are nothing where something else was measured', () => {
    expect(fallHabits([{ ...rate('round', 12, 0.5), checkpointId: 'st.lean' }], [], kindOf)).to.deep.equal([]);
  });
});
