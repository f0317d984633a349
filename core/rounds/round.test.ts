import { expect } from 'chai';
import fc from 'fast-check';
import { overlapping, proposedRounds, thirdOfRound } from './index.ts';

describe('proposed rounds', () => {
  const busy = (from: number, to: number): number[] =>
    Array.from({ length: Math.floor((to - from) / 1000) }, (_, n) => from + n * 1000);
  it('are the whole film when nothing was heard', () => {
    expect(proposedRounds([], [], 60_000)).to.deep.equal([{ from: 0, to: 60_000, manner: 'free' }]);
  });
  it('never overlap and stay within the film', () => {
    const someTimes = fc
      .array(fc.double({ min: 0, max: 300_000, noNaN: true }), { maxLength: 200 })
      .map((list) => list.sort((a, b) => a - b));
    fc.assert(
      fc.property(someTimes, someTimes, (hits, rings) => {
        const rounds = proposedRounds(
          hits,
          rings.slice(0, 6).map((time) => ({ time, hertz: 880 })),
          300_000,
        );
        expect(overlapping(rounds)).to.equal(undefined);
        for (const { from, to } of rounds) expect(from >= 0 && to <= 300_000 && from < to).to.equal(true);
        expect(rounds.length).to.be.above(0);
      }),
    );
  });
  const at = (...times: number[]) => times.map((time) => ({ time, hertz: 880 }));
  const spans = (rounds: { from: number; to: number }[]) => rounds.map(({ from, to }) => [from / 1000, to / 1000]);

  it('are not ended by the ring that warns ten seconds before', () => {
    const hits = [...busy(1000, 180_000), ...busy(241_000, 420_000), ...busy(481_000, 660_000)];
    const rings = at(0, 170_000, 180_000, 240_000, 410_000, 420_000, 480_000, 650_000, 660_000);
    expect(spans(proposedRounds(hits, rings, 670_000))).to.deep.equal([
      [0, 180],
      [240, 420],
      [480, 660],
    ]);
    expect(spans(proposedRounds(busy(1000, 180_000), at(0, 170_000, 180_000), 190_000)), 'a single one').to.deep.equal([
      [0, 180],
    ]);
  });

  it('are as many when a bell is not heard, or when the film begins in the middle of one', () => {
    const hits = [...busy(1000, 60_000), ...busy(91_000, 150_000), ...busy(181_000, 240_000), ...busy(271_000, 330_000)];
    const rings = [60_000, 90_000, 150_000, 240_000, 270_000];
    expect(spans(proposedRounds(hits, at(...rings), 340_000))).to.deep.equal([
      [0, 60],
      [90, 150],
      [180, 240],
      [270, 330],
    ]);
  });

  it('of a timer with short rests are told from warnings by what is hit', () => {
    const rings = [0, 20, 30, 50, 60, 80].map((second) => second * 1000);
    const hits = [0, 30, 60].flatMap((second) => busy(second * 1000 + 500, second * 1000 + 20_000));
    expect(spans(proposedRounds(hits, at(...rings), 85_000))).to.deep.equal([
      [0, 20],
      [30, 50],
      [60, 80],
    ]);
  });

  it('keep what was worked before the first bell and after the last', () => {
    const hits = [...busy(5000, 40_000), ...busy(101_000, 160_000), ...busy(191_000, 250_000), ...busy(300_000, 330_000)];
    const rounds = proposedRounds(hits, at(100_000, 160_000, 190_000, 250_000), 340_000);
    expect(spans(rounds)).to.deep.equal([
      [3.5, 40.5],
      [100, 160],
      [190, 250],
      [298.5, 330.5],
    ]);
    expect(rounds.map(({ manner }) => manner)).to.deep.equal(['free', 'bell', 'bell', 'free']);
  });

  it('take rings in any order, and none from after the end', () => {
    const hits = [...busy(1000, 60_000), ...busy(91_000, 150_000)];
    const rings = at(150_000, 0, 900_000, 90_000, 60_000);
    expect(spans(proposedRounds(hits, rings, 155_000))).to.deep.equal([
      [0, 60],
      [90, 150],
    ]);
  });

  it('come out right in nineteen of twenty films with warnings, bells that are not heard, and talk in the rests', () => {
    let seed = 11;
    const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const oneOf = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    let right = 0;
    for (let film = 0; film < 100; film++) {
      const [work, rested, warns] = [oneOf([60, 120, 180]) * 1000, oneOf([30, 60]) * 1000, random() < 0.7];
      const [count, begin] = [oneOf([2, 3, 4, 6]), 2000 + random() * 20_000];
      const rings: number[] = [];
      const hits: number[] = [];
      const ring = (time: number): void => {
        if (random() < 0.93) rings.push(time + 60 * (random() - 0.5));
      };
      for (let round = 0; round < count; round++) {
        const from = begin + round * (work + rested);
        ring(from);
        if (warns) ring(from + work - 10_000);
        ring(from + work);
        for (let time = from + 1500; time < from + work; time += 250 + 1600 * random() ** 2) hits.push(time);
        for (let time = from + work + 3000; time < from + work + rested; time += 2000 + 9000 * random()) hits.push(time);
      }
      const duration = begin + count * (work + rested) - rested + 15_000 * random();
      const found = proposedRounds(
        hits.filter((hit) => hit < duration),
        at(...rings),
        duration,
      );
      const near = (one: number, other: number): boolean => Math.abs(one - other) < 2500;
      const isRight =
        found.length === count &&
        found.every(({ from, to }, round) => {
          const truly = begin + round * (work + rested);
          return near(from, truly) && near(to, truly + work);
        });
      if (isRight) right++;
    }
    expect(right).to.be.at.least(95);
  });

  it('do not take a rest with a few hits at its start for a round', () => {
    const hits = [...busy(5000, 60_000), ...busy(60_500, 67_000), ...busy(90_500, 150_000)];
    const rings = [0, 60_000, 90_000, 150_000].map((time) => ({ time, hertz: 880 }));
    expect(proposedRounds(hits, rings, 155_000)).to.have.length(2);
  });
  it('tell the first pair that overlaps; touching is none', () => {
    const [a, b] = [
      { from: 0, to: 10 },
      { from: 10, to: 20 },
    ];
    expect(overlapping([b, a])).to.equal(undefined);
    expect(overlapping([{ from: 5, to: 12 }, a])).to.deep.equal([a, { from: 5, to: 12 }]);
  });
  it('have three thirds', () => {
    expect([0, 29, 30, 60, 90].map((time) => thirdOfRound({ from: 0, to: 90 }, time))).to.deep.equal([
      'first',
      'first',
      'middle',
      'last',
      'last',
    ]);
  });
});
