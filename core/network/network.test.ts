import { expect } from 'chai';
import { chancesOf, keptNetwork, networkOf, type Network } from './index.ts';

/** One unit that says whether the first number is above 3, whatever the second is. */
const above3: Network<'below' | 'above'> = {
  classes: ['below', 'above'],
  mean: Float32Array.of(3, 0),
  scale: Float32Array.of(2, 1),
  hidden: [Float32Array.of(4, 0, 0)],
  answers: [Float32Array.of(-3, 0), Float32Array.of(3, 0)],
};

describe('a network', () => {
  it('tells the chance of each class, and they are one together', () => {
    const [below, above] = chancesOf(above3, Float32Array.of(5, -40));
    expect(above).to.be.above(0.99);
    expect(below! + above!).to.be.closeTo(1, 1e-9);
    expect(chancesOf(above3, Float32Array.of(3, 7))[0]).to.be.closeTo(0.5, 1e-6);
  });

  it('is the same after it was kept as text', () => {
    const again = networkOf(keptNetwork(above3));
    expect(again.classes).to.deep.equal(above3.classes);
    expect([...again.mean]).to.deep.equal([3, 0]);
    for (const first of [0, 2.5, 3, 3.5, 9]) {
      const row = Float32Array.of(first, 1);
      expect(chancesOf(again, row)[1]).to.be.closeTo(chancesOf(above3, row)[1]!, 0.01);
    }
  });

  it('is kept even when a list holds nothing but zeros', () => {
    const still = networkOf(keptNetwork({ ...above3, hidden: [new Float32Array(3)] }));
    expect(chancesOf(still, Float32Array.of(9, 0))).to.deep.equal([0.5, 0.5]);
  });
});
