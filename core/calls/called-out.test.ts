import { expect } from 'chai';
import { randomLcg } from 'd3-random';
import fc from 'fast-check';
import { shippedCatalogue } from '../technique/index.ts';
import {
  asWords,
  callsInRound,
  eightCall,
  parseRecipe,
  sayInWords,
  sixCall,
  techniquesOf,
  usualPace,
  type Recipe,
} from './index.ts';
import { handOfTechnique } from './hand-of.ts';

const read = (text: string): Recipe => {
  const parsed = parseRecipe(text, { book: sixCall, catalogue: shippedCatalogue });
  if (!parsed.ok) throw new Error(parsed.errors[0]!.says);
  return parsed.recipe;
};
const called = (text: string, work = 120_000, seed = 0.5) =>
  callsInRound(read(text), { work, book: sixCall, catalogue: shippedCatalogue, random: randomLcg(seed) });

describe('what is called in a round', () => {
  it('are its combinations in turn, with time to throw each', () => {
    const calls = called('jab; jab, cross');
    expect(calls.slice(0, 3).map(({ combination }) => sayInWords(combination, shippedCatalogue))).to.deep.equal([
      'jab',
      'jab, cross',
      'jab',
    ]);
    expect(calls[1]!.at - calls[0]!.at).to.equal(usualPace.between + usualPace.aStrike);
    expect(calls[2]!.at - calls[1]!.at).to.equal(usualPace.between + 2 * usualPace.aStrike);
    expect(calls.at(-1)!.at).to.be.at.most(117_000);
  });

  it('keeps to the bounds of a free round, never one hand three times in a row, then moves', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        fc.integer({ min: 1, max: 3 }),
        fc.nat(3),
        (seed, fewest, more) => {
          for (const { combination } of called(`free, ${fewest} to ${fewest + more} then move`, 180_000, seed)) {
            const thrown = techniquesOf(combination);
            expect(thrown.pop()).to.equal('quarter-turn');
            expect(thrown.length).to.be.within(fewest, fewest + more);
            const hands = thrown.map((id) => handOfTechnique(shippedCatalogue, id));
            hands.forEach((hand, place) =>
              expect(place > 1 && hand === hands[place - 1] && hand === hands[place - 2]).to.equal(false),
            );
          }
        },
      ),
    );
  });

  it('is the same from the same seed, so that a page that was loaded again calls what it would have called', () => {
    expect(called('free, 1 to 4')).to.deep.equal(called('free, 1 to 4'));
    expect(called('free, 1 to 4', 120_000, 0.1)).not.to.deep.equal(called('free, 1 to 4', 120_000, 0.2));
  });

  it('is nothing in a round that is too short, or by a book without hands', () => {
    expect(called('jab', 4000)).to.deep.equal([]);
    const book = { name: 'Kicks', calls: { '1': 'rear-round' } };
    expect(callsInRound(read('free'), { work: 60_000, book, catalogue: shippedCatalogue, random: randomLcg(1) })).to.deep.equal(
      [],
    );
  });

  it('means the same by every book when it is kept in words', () => {
    expect(asWords('1-4; 2', { book: sixCall, catalogue: shippedCatalogue })).to.equal('jab, rear hook; cross');
    expect(asWords('1-4', { book: eightCall, catalogue: shippedCatalogue })).to.equal('jab, lead uppercut');
    expect(asWords('free, 2 to 3 then move', { book: sixCall, catalogue: shippedCatalogue })).to.equal('free, 2 to 3 then move');
    expect(asWords('jab, tickle', { book: sixCall, catalogue: shippedCatalogue })).to.equal('jab, tickle');
  });
});
