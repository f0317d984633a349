import { expect } from 'chai';
import fc from 'fast-check';
import {
  findMotion,
  heardCombinations,
  hitNear,
  hitsOf,
  inOther,
  meanDifference,
  motionColumns,
  motionRows,
  movementOf,
  noEdits,
  overlapping,
  proposedRounds,
  reversed,
  roundFigures,
  speedBagBeat,
  thirdOfRound,
  timelineOf,
  withHit,
  withHitMoved,
  withoutHit,
  type Candidate,
  type Hit,
} from './index.ts';

const sound = { level: 0, attack: 6, decay: 60, brightness: 0.2, snap: 0.5 };
const candidate = (time: number, prominence: number): Candidate => ({ time, prominence, sound });
const found = { sound: [candidate(100, 0.9), candidate(400, 0.3), candidate(900, 0.6)] };
const times = (hits: readonly { time: number }[]): number[] => hits.map(({ time }) => time);
const hit = (time: number, level = 0, snap = 0.5): Hit => ({ time, by: 'sound', sound: { ...sound, level, snap } });

describe('hits that count', () => {
  it('are as many as the sensitivity lets through, and never fewer when it rises', () => {
    expect(times(hitsOf(found, noEdits))).to.deep.equal([100, 900]);
    expect(times(hitsOf(found, { ...noEdits, sensitivity: 0.8 }))).to.deep.equal([100, 400, 900]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const fewer = times(hitsOf(found, { ...noEdits, sensitivity: low }));
        expect(times(hitsOf(found, { ...noEdits, sensitivity: high }))).to.include.members(fewer);
      }),
    );
  });
  it('are added, taken out, moved and brought back by the coach, whatever the sensitivity', () => {
    const [first] = hitsOf(found, noEdits);
    const without = withoutHit(noEdits, first!);
    expect(times(hitsOf(found, without))).to.deep.equal([900]);
    expect(times(hitsOf(found, withHit(without, 100)))).to.deep.equal([100, 900]);
    const moved = withHitMoved(noEdits, first!, 130);
    expect(times(hitsOf(found, { ...moved, sensitivity: 0 }))).to.deep.equal([130]);
    expect(hitsOf(found, withHit(noEdits, 410)).find(({ time }) => time === 410)).to.deep.include({ by: 'coach', sound });
    const added = hitsOf(found, withHit(noEdits, 500)).find(({ by }) => by === 'coach')!;
    expect(times(hitsOf(found, withoutHit(withHit(noEdits, 500), added)))).to.deep.equal([100, 900]);
  });
  it('come from what was seen when the coach says so, without a sound', () => {
    const hits = hitsOf({ ...found, motion: [{ time: 50, prominence: 0.7 }] }, { ...noEdits, source: 'motion' });
    expect(hits).to.deep.equal([{ time: 50, by: 'motion', sound: undefined }]);
  });
  it('are found nearest to a moment and not beyond the reach', () => {
    const hits = [hit(100), hit(160)];
    expect(hitNear(hits, 140, 50)).to.equal(hits[1]);
    expect(hitNear(hits, 240, 50)).to.equal(undefined);
  });
  it('closer than the gap are one combination', () => {
    expect(heardCombinations([hit(0), hit(300), hit(1300), hit(1500)]).map((group) => group.length)).to.deep.equal([2, 2]);
    expect(heardCombinations([hit(0), hit(300)], 200).map((group) => group.length)).to.deep.equal([1, 1]);
    expect(heardCombinations([])).to.deep.equal([]);
  });
});

describe('proposed rounds', () => {
  const busy = (from: number, to: number): number[] =>
    Array.from({ length: Math.floor((to - from) / 1000) }, (_, n) => from + n * 1000);
  it('are the whole clip when nothing was heard', () => {
    expect(proposedRounds([], [], 60_000)).to.deep.equal([{ from: 0, to: 60_000, manner: 'free' }]);
  });
  it('never overlap and stay within the clip', () => {
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
  it('do not take a rest with a few hits at its start for a round', () => {
    const hits = [...busy(5000, 60_000), ...busy(60_500, 67_000), ...busy(90_500, 150_000)];
    const rings = [0, 60_000, 90_000, 150_000].map((time) => ({ time, hertz: 880 }));
    expect(proposedRounds(hits, rings, 155_000)).to.have.length(2);
  });
  it('tell the first pair that overlaps; touching is none', () => {
    const [a, b] = [{ from: 0, to: 10 }, { from: 10, to: 20 }]; // prettier-ignore
    expect(overlapping([b, a])).to.equal(undefined);
    expect(overlapping([{ from: 5, to: 12 }, a])).to.deep.equal([a, { from: 5, to: 12 }]);
  });
  it('have three thirds', () => {
    expect([0, 29, 30, 60, 90].map((time) => thirdOfRound({ from: 0, to: 90 }, time))).to.deep.equal(['first', 'first', 'middle', 'last', 'last']); // prettier-ignore
  });
});

describe('what a round says', () => {
  const round = { from: 10_000, to: 100_000 };
  const hits = Array.from({ length: 80 }, (_, n) => hit(10_500 + n * 1000, n < 30 ? 0 : -4 + (n % 3), n < 30 ? 0.8 : 0.3));
  const figures = roundFigures(round, [hit(2000), ...hits, hit(120_000)], 500);
  it('counts its own hits, and their pace by the half minute', () => {
    expect(figures.hits).to.equal(80);
    expect(figures.pace).to.be.closeTo(26.7, 0.1);
    expect(figures.stretches.map(({ hits: count }) => count)).to.deep.equal([30, 30, 20]);
    expect(figures.byThird).to.deep.equal({ first: 30, middle: 30, last: 20 });
    expect(figures.lengths).to.deep.equal([80]);
    expect(figures.longestGap).to.deep.equal({ from: 89_500, to: 100_000 });
  });
  it('tells what faded, with an interval that leaves zero out when it is clear', () => {
    expect(figures.fade!.level.value).to.be.closeTo(-3, 0.3);
    expect(figures.fade!.level.high).to.be.below(0);
    expect(figures.fade!.snap.high).to.be.below(0);
  });
  it('says nothing of a fade when too little was heard, or of an empty round', () => {
    expect(roundFigures(round, hits.slice(0, 4)).fade).to.equal(undefined);
    const empty = roundFigures(round, []);
    expect([empty.hits, empty.pace, empty.lengths.length, empty.longestGap]).to.deep.equal([0, 0, 0, round]);
  });
  it('has an interval that holds the true difference about nine times in ten', () => {
    let seed = 7;
    const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const normal = (): number => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    let inside = 0;
    for (let trial = 0; trial < 2000; trial++) {
      const first = Array.from({ length: 9 }, () => 3 * normal());
      const last = Array.from({ length: 14 }, () => 2 + normal());
      const { low, high } = meanDifference(first, last);
      if (low <= 2 && 2 <= high) inside++;
    }
    expect(inside / 2000).to.be.within(0.87, 0.93);
  });
});

describe('the beat of a speed bag', () => {
  it('counts what is missing and leaves pauses out', () => {
    const beats = [0, 200, 400, 800, 1000, 1200, 1800, 2000, 9000, 9200, 9400];
    expect(speedBagBeat(beats)).to.deep.equal({ beat: 200, unevenness: 0, missed: 3, gaps: [400, 1200] });
    expect(speedBagBeat([0, 200, 400])).to.equal(undefined);
  });
});

describe('movement in the picture', () => {
  const [width, height] = [motionColumns * 2, motionRows * 2];
  it('is told cell by cell', () => {
    const before = new Uint8Array(width * height);
    const after = before.slice();
    after[width * 2 + 4] = 40;
    const grid = movementOf(after, before, width, height);
    expect([...grid.entries()].filter(([, value]) => value > 0)).to.deep.equal([[motionColumns + 2, 40]]);
  });
  const cells = motionColumns * motionRows;
  const timeline = timelineOf(Array.from({ length: 300 }, (_, n) => (n * 1000) / 60));
  const movement = new Uint8Array(cells * 300);
  for (const frame of [60, 120, 200]) for (const near of [-2, -1, 0, 1, 2]) movement[(frame + near) * cells + 20] = 200 - 60 * Math.abs(near); // prettier-ignore
  it('has a peak where something moved fastest, and is never quite sure', () => {
    const peaks = findMotion(movement, timeline);
    expect(times(peaks).map((time) => Math.round((time * 60) / 1000))).to.deep.equal([60, 120, 200]);
    expect(Math.max(...peaks.map(({ prominence }) => prominence))).to.be.at.most(0.8);
  });
  it('counts only within the region', () => {
    expect(findMotion(movement, timeline, { left: 0.6, top: 0, width: 0.4, height: 1 })).to.deep.equal([]);
    expect(findMotion(movement, timeline, { left: 0.2, top: 0.1, width: 0.2, height: 0.2 })).to.have.length(3);
    expect(findMotion(movement, timeline, { left: 2, top: 2, width: 0, height: 0 })).to.deep.equal([]);
  });
});

describe('two clocks', () => {
  it('lead there and back', () => {
    const alignment = { offset: 1234.5, drift: 0.0001 };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200_000, noNaN: true }), (time) => {
        expect(inOther(reversed(alignment), inOther(alignment, time))).to.be.closeTo(time, 1e-6);
      }),
    );
  });
});
