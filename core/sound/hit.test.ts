import { expect } from 'chai';
import fc from 'fast-check';
import { heardCombinations } from '../rounds/index.ts';
import { hitNear, hitsOf, noHitEdits, withHit, withHitMoved, withoutHit, type Candidate, type Hit } from './index.ts';

const sound = { level: 0, attack: 6, decay: 60, brightness: 0.2, snap: 0.5 };

const candidate = (time: number, prominence: number): Candidate => ({ time, prominence, sound });

const found = { sound: [candidate(100, 0.9), candidate(400, 0.3), candidate(900, 0.6)] };

const times = (hits: readonly { time: number }[]): number[] => hits.map(({ time }) => time);

const hit = (time: number, level = 0, snap = 0.5): Hit => ({ time, by: 'sound', sound: { ...sound, level, snap } });

describe('hits that count', () => {
  it('are as many as the sensitivity lets through, and never fewer when it rises', () => {
    expect(times(hitsOf(found, noHitEdits))).to.deep.equal([100, 900]);
    expect(times(hitsOf(found, { ...noHitEdits, sensitivity: 0.8 }))).to.deep.equal([100, 400, 900]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const fewer = times(hitsOf(found, { ...noHitEdits, sensitivity: low }));
        expect(times(hitsOf(found, { ...noHitEdits, sensitivity: high }))).to.include.members(fewer);
      }),
    );
  });
  it('are another bag’s below a level that the coach sets, and any before', () => {
    const sound = (level: number) => ({ level, attack: 2, decay: 30, brightness: 0.2, snap: 0.5 });
    const two = { sound: [-3, -14, -45].map((level, place) => ({ time: place * 500, prominence: 0.9, sound: sound(level) })) };
    expect(times(hitsOf(two, noHitEdits))).to.deep.equal([0, 500, 1000]);
    expect(times(hitsOf(two, { ...noHitEdits, leastLevel: -8 }))).to.deep.equal([0]);
  });

  it('are added, taken out, moved and brought back by the coach, whatever the sensitivity', () => {
    const [first] = hitsOf(found, noHitEdits);
    const without = withoutHit(noHitEdits, first!);
    expect(times(hitsOf(found, without))).to.deep.equal([900]);
    expect(times(hitsOf(found, withHit(without, 100)))).to.deep.equal([100, 900]);
    const moved = withHitMoved(noHitEdits, first!, 130);
    expect(times(hitsOf(found, { ...moved, sensitivity: 0 }))).to.deep.equal([130]);
    expect(hitsOf(found, withHit(noHitEdits, 410)).find(({ time }) => time === 410)).to.deep.include({ by: 'coach', sound });
    const added = hitsOf(found, withHit(noHitEdits, 500)).find(({ by }) => by === 'coach')!;
    expect(times(hitsOf(found, withoutHit(withHit(noHitEdits, 500), added)))).to.deep.equal([100, 900]);
  });
  it('come from what was seen when the coach says so, without a sound', () => {
    const hits = hitsOf({ ...found, motion: [{ time: 50, prominence: 0.7 }] }, { ...noHitEdits, source: 'motion' });
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
