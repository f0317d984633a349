import { expect } from 'chai';
import { turnsOf, type Colour, type Worn } from './turns.ts';

const [red, blue, grey, black]: Colour[] = [
  [180, 40, 40],
  [40, 60, 170],
  [120, 120, 125],
  [25, 25, 28],
];
/** A picture every second of a round of ten, in these clothes; light moves them a little. */
const round = (place: number, trunk: Colour, thighs: Colour): Worn[] =>
  Array.from({ length: 10 }, (_, second) => {
    const light = ((second * 7) % 5) * 3 - 6;
    const lit = ([r, g, b]: Colour): Colour => [r + light, g + light, b + light];
    return { time: place * 20_000 + second * 1000, trunk: lit(trunk), thighs: lit(thighs) };
  });
const rounds = (count: number) =>
  Array.from({ length: count }, (_, place) => ({ id: `${place}`, from: place * 20_000, to: place * 20_000 + 10_000 }));
const told = (...worn: Worn[][]) =>
  turnsOf(rounds(worn.length), worn.flat()).map(({ person, roundIds }) => [person, roundIds.join(' ')]);

describe('turns', () => {
  it('are rounds in a row of whoever wears the same, counted as they are first seen', () => {
    const [one, other] = [(place: number) => round(place, red!, black!), (place: number) => round(place, blue!, black!)];
    expect(told(one(0), one(1), other(2), one(3))).to.deep.equal([
      [0, '0 1'],
      [1, '2'],
      [0, '3'],
    ]);
  });

  it('are told by shorts alone, and not by light', () => {
    expect(told(round(0, grey!, black!), round(1, grey!, red!))).to.have.length(2);
    const darker = round(1, red!, black!).map(({ trunk: [r, g, b], ...one }): Worn => ({
      ...one,
      trunk: [r - 20, g - 5, b - 5],
    }));
    expect(told(round(0, red!, black!), darker)).to.have.length(1);
  });

  it('are of whoever worked before where a round does not show who it is', () => {
    expect(told(round(0, red!, black!), [], round(2, red!, black!).slice(0, 1))).to.deep.equal([[0, '0 1 2']]);
    expect(turnsOf(rounds(2), [])).to.deep.equal([{ person: 0, roundIds: ['0', '1'] }]);
    expect(turnsOf([], [])).to.deep.equal([]);
  });
});
