import { expect } from 'chai';
import { range, sum } from 'd3-array';
import { timelineOf } from '../film/index.ts';
import { bestSettled, adviceOn, measureOf, type Measured, type MarkedRound } from './index.ts';
import { shippedCatalogue, techniqueIn, usualSchool, checklistFor } from '../technique/index.ts';
import { steadyNormals } from './shake.ts';
import { moments } from './moving-body.test-data.ts';

const timeline = timelineOf(range(600).map((frame) => (frame * 1000) / 60));
const round = (change: Partial<MarkedRound>): MarkedRound => ({
  from: 0,
  to: 90_000,
  hits: [],
  beats: [],
  markOff: 0,
  ...change,
});
const told = (measure: 'beat-variation' | 'pace', change: Partial<MarkedRound>): Measured =>
  measureOf(timeline, moments, undefined, { id: measure === 'pace' ? 'rh.pace' : 'rh.even', measure }, round(change))!;

describe('a round as a whole', () => {
  /** Beats whose gaps are spread by so much of their mean, each marked so far off. */
  function beatsOf(count: number, spread: number, off: number, seed: number): { beats: number[]; spread: number } {
    const normal = steadyNormals(seed);
    const gaps = range(count).map((place) => 460 * (1 + spread * normal(place)));
    const mean = sum(gaps) / count;
    const landed = [0, ...gaps.map((_, place) => sum(gaps.slice(0, place + 1)))];
    return {
      beats: landed.map((time, place) => time + off * normal(5000 + place)),
      spread: Math.sqrt(sum(gaps, (gap) => (gap - mean) ** 2) / (count - 1)) / mean,
    };
  }

  it('tells how even a beat is, without what marks are off by, and what it is doubted by holds', () => {
    for (const [spread, off] of [
      [0.03, 3],
      [0.03, 9.6],
      [0.1, 9.6],
      [0.2, 3],
    ] as const) {
      const rounds = range(1, 200).map((seed) => beatsOf(30, spread, off, seed));
      const held = rounds.filter((one) => {
        const measured = told('beat-variation', { beats: one.beats, markOff: off });
        return measured.value !== undefined && Math.abs(measured.value - one.spread) <= 1.96 * measured.doubt;
      });
      expect(held.length / rounds.length, `${spread}, marked ${off} ms off`).to.be.above(0.9);
    }
  });

  it('takes a beat that is not marked, or a rest, for no uneven one', () => {
    const { beats } = beatsOf(30, 0.03, 0, 7);
    const whole = told('beat-variation', { beats }).value!;
    const missed = beats.filter((_, place) => place !== 9 && place !== 20);
    expect(told('beat-variation', { beats: missed }).value).to.be.closeTo(whole, 0.01);
    const rested = beats.map((time, place) => (place > 15 ? time + 4000 : time));
    expect(told('beat-variation', { beats: rested }).value).to.be.closeTo(whole, 0.01);
  });

  it('says so where a beat is too short to be told', () => {
    expect(told('beat-variation', { beats: range(8).map((place) => place * 460) }))
      .to.have.property('reason')
      .that.includes('dozen');
  });

  it('tells whether the pace of its first third was kept', () => {
    const hits = [...range(0, 30_000, 1000), ...range(30_000, 60_000, 1000), ...range(60_000, 90_000, 1500)];
    const measured = told('pace', { hits });
    expect(measured.value).to.be.closeTo(20 / 30, 0.01);
    expect((measured as { doubt: number }).doubt).to.be.within(0.04, 0.1);
    expect(told('pace', { hits: hits.slice(60) }))
      .to.have.property('reason')
      .that.includes('first third');
  });

  it('tells nothing of itself at a strike by itself, and is told from wherever one films', () => {
    const [technique, school] = [techniqueIn(shippedCatalogue, 'speed-bag-front'), usualSchool];
    expect(measureOf(timeline, moments, undefined, { id: 'rh.even', measure: 'beat-variation' })).to.equal(undefined);
    for (const view of ['front', 'lead-side'] as const) {
      const row = checklistFor(shippedCatalogue, technique.id, { school, view }).find(
        ({ checkpoint }) => checkpoint.id === 'rh.even',
      )!;
      expect(bestSettled([adviceOn(row, technique, { view, stance: 'orthodox' })])).to.equal('measure');
    }
  });
});
