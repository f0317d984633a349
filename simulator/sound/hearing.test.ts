import { expect } from 'chai';
import { alignSounds, findHits, findRings, hitsOf, noHitEdits } from '@wax-fist/core/sound';
import { proposedRounds, speedBagBeat } from '@wax-fist/core/rounds';
import { practiceSound, thirdOf, type Practice, type PracticeSound } from './practice.ts';
import { disturbanceOf } from './disturbance.ts';
import { twoMicrophones } from './two-microphones.ts';

const rate = 16_000;
const heard = (change: Partial<Practice> = {}): PracticeSound & { low: Float32Array } => {
  const sound = practiceSound({ seed: 4, seconds: 40, on: 'bag', ...change });
  return { ...sound, low: thirdOf(sound.samples) };
};
const found = (low: Float32Array) => hitsOf({ sound: findHits(low, rate) }, noHitEdits);

/** Counts what was found within 50 ms of what was there. */
function score(times: readonly number[], truth: readonly number[]): { right: number; f1: number; errors: number[] } {
  const left = new Set(times);
  const errors: number[] = [];
  for (const at of truth) {
    const near = [...left].filter((time) => Math.abs(time - at) < 50).sort((a, b) => Math.abs(a - at) - Math.abs(b - at))[0];
    if (near === undefined) continue;
    left.delete(near);
    errors.push(Math.abs(near - at));
  }
  return { right: errors.length, f1: (2 * errors.length) / (times.length + truth.length), errors };
}
const truthOf = ({ hits }: PracticeSound): number[] => hits.map(({ at }) => at * 1000);
const times = (list: readonly { time: number }[]): number[] => list.map(({ time }) => time);

describe('hits in the simulated sound', () => {
  it('are all found when nothing disturbs, each within 5 ms', () => {
    const sound = heard();
    const { f1, errors } = score(times(found(sound.low)), truthOf(sound));
    expect(f1).to.be.at.least(0.98);
    expect(Math.max(...errors)).to.be.at.most(5);
  });

  for (const by of ['noise', 'tones', 'talk'] as const) {
    it(`are found through ${by} ten decibels below them`, () => {
      const sound = heard({ seconds: 60, disturbed: [{ by, decibels: 10 }] });
      expect(score(times(found(sound.low)), truthOf(sound)).f1).to.be.at.least(0.9);
    });
    it(`are not made up out of ${by} alone`, () => {
      const quiet = thirdOf(disturbanceOf(by, 5, 30).map((value) => value * 0.2));
      const sure = findHits(quiet, rate).filter(({ prominence }) => prominence >= 0.5);
      expect(sure.length).to.be.at.most(3);
    });
  }

  it('are told apart by snap: a pop ranks above a thunk', () => {
    const sound = heard({ seconds: 60 });
    const list = found(sound.low);
    const pairs = sound.hits.flatMap(({ at, snap }) => {
      const one = list.find(({ time }) => Math.abs(time - at * 1000) < 20);
      return one ? [{ snap, rank: one.sound!.snap }] : [];
    });
    const mean = (part: typeof pairs): number => part.reduce((sum, { rank }) => sum + rank, 0) / part.length;
    expect(mean(pairs.filter(({ snap }) => snap > 0.7))).to.be.above(mean(pairs.filter(({ snap }) => snap < 0.3)) + 0.3);
  });

  it('are nothing in silence and in a sound that is too short', () => {
    expect(findHits(new Float32Array(rate), rate)).to.deep.equal([]);
    expect(findHits(new Float32Array(10), rate)).to.deep.equal([]);
    expect(findRings(new Float32Array(rate), rate)).to.deep.equal([]);
  });
});

describe('rounds', () => {
  const rings = [2, 62, 92, 152].map((at) => ({ at, by: 'bell' as const }));

  for (const by of ['bell', 'beep'] as const) {
    it(`are cut by a ${by}`, () => {
      const sound = heard({
        seconds: 156,
        rings: rings.map(({ at }) => ({ at, by })),
        rests: [
          [0, 2],
          [62, 92],
          [152, 156],
        ],
      });
      const bells = findRings(sound.low, rate);
      expect(bells.map(({ time }) => Math.round(time / 1000))).to.deep.equal([2, 62, 92, 152]);
      const rounds = proposedRounds(times(found(sound.low)), bells, 156_000);
      expect(rounds.map(({ from, to, manner }) => [Math.round(from / 1000), Math.round(to / 1000), manner])).to.deep.equal([
        [2, 62, 'bell'],
        [92, 152, 'bell'],
      ]);
    });
  }

  it('are cut by a bell also when the rests are short and nothing else has a tone', () => {
    const at = [1, 21, 29, 49];
    const sound = heard({
      seconds: 52,
      rings: at.map((one) => ({ at: one, by: 'bell' as const })),
      rests: [
        [0, 1],
        [21, 29],
        [49, 52],
      ],
    });
    const bells = findRings(sound.low, rate);
    expect(bells.map(({ time }) => Math.round(time / 1000))).to.deep.equal(at);
    expect(proposedRounds(times(found(sound.low)), bells, 52_000)).to.have.length(2);
  });

  it('are cut by the rests where nothing rings, whatever plays', () => {
    const sound = heard({ seconds: 110, rests: [[40, 70]], disturbed: [{ by: 'tones', decibels: 12 }] });
    const bells = findRings(sound.low, rate);
    expect(bells).to.deep.equal([]);
    const rounds = proposedRounds(times(found(sound.low)), bells, 110_000);
    expect(rounds).to.have.length(2);
    expect(rounds[0]!.to).to.be.within(37_000, 45_000);
    expect(rounds[1]!.from).to.be.within(65_000, 73_000);
  });
});

describe('a speed bag', () => {
  it('tells its beat, how even it was, and which beats are missing', () => {
    const sound = heard({ on: 'speed-bag', seconds: 40 });
    const truth = truthOf(sound);
    const beat = speedBagBeat(times(found(sound.low)))!;
    const really = speedBagBeat(truth)!;
    expect(beat.beat).to.be.closeTo(230, 5);
    expect(beat.unevenness).to.be.within(0.005, 0.06);
    expect(beat.missed).to.equal(really.missed);
    expect(beat.missed).to.be.above(0);
  });
});

describe('two microphones on one round', () => {
  for (const { offset, drift } of [
    { offset: 1234.4, drift: 0 },
    { offset: -3870.2, drift: 0.00004 },
  ]) {
    it(`are put on one clock: ${offset} ms apart, ${drift * 1e6} parts in a million of drift`, () => {
      const [one, other] = twoMicrophones({ seed: 6, seconds: 90, offset, drift });
      const found = alignSounds(thirdOf(one), thirdOf(other), rate)!;
      for (const at of [10_000, 45_000, 80_000]) {
        expect(at * (1 + found.drift) + found.offset).to.be.closeTo(at * (1 + drift) + offset, 5);
      }
    });
  }
  it('that began at the same moment are tied all the same', () => {
    const { low } = heard({ seed: 23, seconds: 30 });
    const found = alignSounds(low, low, rate)!;
    expect(found.offset).to.be.closeTo(0, 0.1);
    expect(found.drift).to.be.closeTo(0, 1e-6);
  });
  it('that heard different rounds are not tied', () => {
    const one = heard({ seed: 21, seconds: 30 });
    const other = heard({ seed: 22, seconds: 30 });
    expect(alignSounds(one.low, other.low, rate)).to.equal(undefined);
  });
});
