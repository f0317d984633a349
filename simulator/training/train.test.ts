import { chancesOf } from '@wax-fist/core/network';
import { expect } from 'chai';
import { seededRandom } from '../random.ts';
import { trained, type Examples } from './train.ts';

/** Two numbers are alike or they are not: no line parts these. */
function alike(count: number, seed: number): Examples {
  const random = seededRandom(seed);
  const rows = Array.from({ length: count }, () => Float32Array.of(random.between(-1, 1), random.between(-1, 1)));
  return { rows, classes: rows.map(([one, other]) => (one! * other! > 0 ? 1 : 0)) };
}
const training = { seed: 1, units: 8, epochs: 60, decay: 0.001, blur: 0 };

describe('training', () => {
  it('learns what no line parts, and tells it of examples that it never saw', () => {
    const network = trained(['other', 'alike'], alike(1500, 2), training);
    const unseen = alike(400, 3);
    const right = unseen.rows.filter((row, place) => (chancesOf(network, row)[1]! > 0.5 ? 1 : 0) === unseen.classes[place]);
    expect(right.length / 400).to.be.above(0.94);
  });

  it('gives the same network for the same examples and seed', () => {
    const short = { ...training, epochs: 2 };
    expect(trained(['other', 'alike'], alike(200, 2), short)).to.deep.equal(trained(['other', 'alike'], alike(200, 2), short));
  });
});
