import { expect } from 'chai';
import { randomBeta, randomLcg } from 'd3-random';
import { range } from 'd3-array';
import fc from 'fast-check';
import { agreementOfCoaches, commonestQuarrel, wordingOf, type PairCounts } from './index.ts';

const counts = fc.array(fc.array(fc.nat(20), { minLength: 3, maxLength: 3 }), { minLength: 3, maxLength: 3 });
const turned = (table: PairCounts): PairCounts => range(3).map((first) => range(3).map((second) => table[second]![first]!));

describe('how far two coaches agree', () => {
  it('is what the books say of a table', () => {
    // 25 of 40 alike by two who call half of it clean: (0.625 − 0.5) / (1 − 0.5).
    const { same, kappa, pairs } = agreementOfCoaches([
      [
        [13, 0, 8],
        [0, 0, 0],
        [7, 0, 12],
      ],
    ]);
    expect(pairs).to.equal(40);
    expect(same.value).to.equal(0.625);
    expect(kappa!.value).to.be.closeTo(0.25, 0.01);
  });

  it('takes a watch for half of the way to a fault', () => {
    const near = agreementOfCoaches([
      [
        [10, 6, 0],
        [0, 0, 0],
        [0, 0, 10],
      ],
    ]).kappa!;
    const far = agreementOfCoaches([
      [
        [10, 0, 6],
        [0, 0, 0],
        [0, 0, 10],
      ],
    ]).kappa!;
    expect(near.value).to.be.above(far.value + 0.1);
  });

  it('does not depend on who is called the first', () => {
    fc.assert(
      fc.property(counts, (table) => {
        const [one, other] = [agreementOfCoaches([table]), agreementOfCoaches([turned(table)])];
        expect(one.same).to.deep.equal(other.same);
        expect(one.kappa === undefined).to.equal(other.kappa === undefined);
        if (one.kappa && other.kappa) {
          expect(one.kappa.value).to.be.closeTo(other.kappa.value, 1e-9);
          expect(one.kappa.low).to.be.closeTo(other.kappa.low, 1e-9);
        }
      }),
    );
  });

  it('lies within its interval, and the interval within what is possible', () => {
    fc.assert(
      fc.property(fc.array(counts, { minLength: 1, maxLength: 4 }), (films) => {
        const { kappa, same } = agreementOfCoaches(films);
        expect(same.low).to.be.at.least(0);
        expect(same.high).to.be.at.most(1);
        if (!kappa) return;
        expect(kappa.high).to.be.at.least(kappa.value);
        expect([kappa.low, kappa.high]).to.satisfy(([low, high]: [number, number]) => -1 <= low && low <= high && high <= 1);
      }),
    );
  });

  it('says nothing beyond chance where both said one thing only', () => {
    const { kappa, same } = agreementOfCoaches([
      [
        [30, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ],
    ]);
    expect(kappa).to.equal(undefined);
    expect(same.value).to.equal(1);
  });

  it('is doubted more where all strikes are of one film', () => {
    const of = (scale: number): PairCounts => [
      [8 * scale, 0, 2 * scale],
      [0, 0, 0],
      [2 * scale, 0, 8 * scale],
    ];
    const [one, many] = [agreementOfCoaches([of(4)]).kappa!, agreementOfCoaches([of(1), of(1), of(1), of(1)]).kappa!];
    expect(one.high - one.low).to.be.above(many.high - many.low);
  });

  it('holds its 90%: of coaches who read every film a little differently', () => {
    const random = randomLcg(7);
    const [films, strikes, right] = [6, 15, 0.8];
    // How often both agree on a film is drawn anew for each, as alike as strikes of a film are.
    const ofFilm = randomBeta.source(random)((right * 0.9) / 0.1, ((1 - right) * 0.9) / 0.1);
    const truth = 2 * right - 1;
    const hits = range(400).filter(() => {
      const tables = range(films).map(() => {
        const alike = ofFilm();
        const table = [
          [0, 0, 0],
          [0, 0, 0],
          [0, 0, 0],
        ];
        for (let strike = 0; strike < strikes; strike++) {
          const first = random() < 0.5 ? 0 : 2;
          table[first]![random() < alike ? first : 2 - first]!++;
        }
        return table;
      });
      const { low, high } = agreementOfCoaches(tables).kappa!;
      return low <= truth && truth <= high;
    });
    expect(hits.length / 400).to.be.within(0.84, 0.97);
  });
});

describe('what agreement says of the words of a row', () => {
  const alike = (same: number, other: number): PairCounts => [
    [same, 0, other],
    [0, 0, 0],
    [other, 0, same],
  ];
  const table: [string, PairCounts[], ReturnType<typeof wordingOf>][] = [
    ['too few to say', [alike(3, 0)], 'too-few'],
    ['clear', range(6).map(() => alike(8, 0)), 'clear'],
    ['unclear', range(6).map(() => alike(5, 4)), 'unclear'],
    ['open', [alike(8, 2)], 'open'],
  ];
  for (const [name, films, expected] of table) {
    it(`is ${name}`, () => expect(wordingOf(agreementOfCoaches(films))).to.equal(expected));
  }

  it('names what is held against each other most', () => {
    expect(
      commonestQuarrel([
        [
          [5, 1, 0],
          [0, 2, 0],
          [3, 0, 4],
        ],
      ]),
    ).to.deep.equal({ first: 'fault', second: 'clean', times: 3 });
    expect(
      commonestQuarrel([
        [
          [5, 0, 0],
          [0, 2, 0],
          [0, 0, 4],
        ],
      ]),
    ).to.equal(undefined);
  });
});
