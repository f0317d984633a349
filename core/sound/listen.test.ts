import { expect } from 'chai';
import { listenTo } from './index.ts';

describe('a long sound', () => {
  it('is heard to its end in pieces, on one clock', () => {
    const rate = 8000;
    const samples = new Float32Array(rate * 615);
    const at = [2, 300, 604, 610];
    for (const second of at) {
      // Noise from a small generator: the same on every run.
      let state = 1 + second;
      for (let index = 0; index < rate * 0.2; index++) {
        state = (state * 16_807) % 2_147_483_647;
        samples[second * rate + index] = (state / 2_147_483_647 - 0.5) * Math.exp(-index / (rate * 0.02));
      }
    }
    const shares: number[] = [];
    const { hits, rings } = listenTo(samples, rate, (share) => shares.push(share));
    expect(hits.filter(({ prominence }) => prominence > 0.5).map(({ time }) => Math.round(time / 100) / 10)).to.deep.equal(at);
    expect(rings).to.deep.equal([]);
    expect(shares.at(-1)).to.equal(1);
    const [broken, silent] = [samples.slice(0, rate * 5), samples.slice(0, rate * 5)];
    [broken[rate], broken[rate * 4]] = [NaN, -Infinity];
    expect(listenTo(broken, rate).hits, 'samples that are no number are silence').to.deep.equal(listenTo(silent, rate).hits);
  });
});
