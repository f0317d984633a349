import { expect } from 'chai';
import { farther, type LoudHit } from './far-bag.ts';

/** Hits of one bag: `count` of them, spread by `spread` decibels round a level, one every `every` milliseconds. */
const bag = (level: number, count: number, { spread = 2, every = 700, from = 0 } = {}): LoudHit[] =>
  Array.from({ length: count }, (_, place) => ({ time: from + place * every, level: level + spread * Math.sin(place * 2.4) }));
const inOrder = (hits: LoudHit[]): LoudHit[] => hits.sort((a, b) => a.time - b.time);

describe('a bag that is farther away', () => {
  it('is told by its level where two heaps are apart', () => {
    const isFarther = farther(inOrder([...bag(0, 40), ...bag(-14, 30, { from: 313, every: 1100 })]));
    expect(isFarther(-13)).to.equal(true);
    expect(isFarther(-2)).to.equal(false);
  });

  it('is not made of somebody who hits hard and lightly', () => {
    const anyhow = Array.from({ length: 60 }, (_, place) => ({
      time: place * 500,
      level: -14 * Math.abs(Math.sin(place * 1.7)),
    }));
    expect(farther(anyhow)(-13)).to.equal(false);
  });

  it('is not made of a phone that turns itself down after every first hit', () => {
    const first = bag(0, 20, { every: 2000 });
    const then = [...bag(-14, 20, { every: 2000, from: 250 }), ...bag(-15, 20, { every: 2000, from: 480 })];
    expect(farther(inOrder([...first, ...then]))(-14)).to.equal(false);
  });

  it('is not made of a handful of hits', () => {
    expect(farther(inOrder([...bag(0, 8), ...bag(-14, 4, { from: 300 })]))(-14)).to.equal(false);
  });
});
