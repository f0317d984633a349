import { expect } from 'chai';
import type { PointName } from '../body/index.ts';
import { shippedCatalogue, techniqueIn, type ShippedCheckpointId, type View } from '../technique/index.ts';
import { momentsOnPath } from './index.ts';
import {
  between,
  contactFrame,
  launchFrame,
  moments,
  rate,
  readOf,
  sceneOf,
  still,
  type Moving,
} from './moving-body.test-data.ts';

/** When a foot goes and comes to stand, in frames, and how far, in trunks. */
type Way = readonly [from: number, to: number, by: number];
const isOf = (foot: 'left' | 'right', name: PointName): boolean => name.startsWith(foot) && /Ankle|Heel|Toe/.test(name);

/** The left foot is the lead. The body goes along with both. */
function stepping(left: Way, right: Way): Moving {
  const gone = ([from, to, by]: Way, frame: number): number => by * between(frame, from, to);
  return (name, frame) => {
    const [ahead, up] = still(name);
    if (isOf('left', name)) return [ahead + gone(left, frame), up];
    if (isOf('right', name)) return [ahead + gone(right, frame), up];
    return [ahead + (gone(left, frame) + gone(right, frame)) / 2, up];
  };
}
const middle = (launchFrame + contactFrame) / 2;
const [early, late] = [
  [launchFrame, middle],
  [middle, contactFrame],
] as const;
/** Milliseconds of one foot’s way at sixty frames a second. */
const halfWay = ((middle - launchFrame) * 1000) / 60;

describe('measures of steps', () => {
  const read = (id: ShippedCheckpointId, moving: Moving, technique = 'step-and-recover', view: View = 'lead-side') =>
    readOf(id, moving, technique, view);

  it('tell which foot leaves first, by the way that the step goes', () => {
    const [leadFirst, rearFirst] = [stepping([...early, 0.4], [...late, 0.4]), stepping([...late, 0.4], [...early, 0.4])];
    expect(read('pv.first-foot', leadFirst)).to.be.closeTo(halfWay, 25);
    expect(read('pv.first-foot', rearFirst)).to.be.closeTo(-halfWay, 25);
    const back = stepping([...late, -0.4], [...early, -0.4]);
    expect(read('pv.first-foot', back, 'step-back')).to.be.closeTo(halfWay, 25);
    expect(read('pv.first-foot', back, 'step-back', 'rear-side'), 'from the other side').to.be.closeTo(halfWay, 25);
  });

  it('tell how much of the first step the second takes back', () => {
    for (const share of [0.4, 0.8, 1.2])
      expect(read('pv.recover', stepping([...early, 0.4], [...late, 0.4 * share]))).to.be.closeTo(share, 0.06);
    expect(read('pv.recover', stepping([...late, -0.2], [...early, -0.4]), 'step-back')).to.be.closeTo(0.5, 0.06);
  });

  it('tell how far the first step goes', () => {
    for (const far of [0.3, 0.6, 0.9])
      expect(read('pv.step-size', stepping([...early, far], [...late, far]))).to.be.closeTo(far, 0.03);
  });

  it('tell how long the stance is once both feet have come', () => {
    expect(read('st.length', stepping([...early, 0.4], [...late, 0.4]))).to.be.closeTo(0.9, 0.03);
    expect(read('st.length', stepping([...early, 0.4], [...late, 0.1])), 'left behind').to.be.closeTo(1.2, 0.03);
  });

  it('tell how long the foot behind is down before a cross that drives', () => {
    const drive = (down: number): Moving => stepping([30, 45, 0.4], [down - 15, down, 0.4]);
    for (const down of [62, 72, 82]) {
      // Of a way at one speed four fifths are gone three frames before its end.
      const ahead = ((contactFrame - (down - 3)) * 1000) / rate;
      expect(read('pv.drive', drive(down), 'cross', 'rear-side')).to.be.closeTo(ahead, 20);
    }
    expect(read('pv.drive', stepping([30, 45, 0.4], [50, 65, 0]), 'cross', 'rear-side'), 'stays').to.equal(undefined);
  });

  it('tell how close the feet come, and that they cross', () => {
    expect(read('pv.no-cross', stepping([...early, 0.4], [...late, 0.4])), 'apart').to.be.closeTo(1, 0.06);
    // The feet stand 0.9 apart.
    expect(read('pv.no-cross', stepping([...late, 0.45], [...early, 0.45])), 'together').to.be.closeTo(0.5, 0.06);
    expect(read('pv.no-cross', stepping([...late, 1.2], [...early, 1.2])), 'crossed').to.be.below(-0.2);
  });

  it('tell whether the ball of the foot is down ahead of its heel', () => {
    const gap = 1000 / rate;
    const step = stepping([...early, 0.4], [...late, 0.4]);
    /** Toes and heel are lifted for a while, and put down so many frames apart. */
    const landing =
      (toe: number, heel: number): Moving =>
      (name, frame) => {
        const [ahead, up] = step(name, frame);
        const put = name === 'leftToe' ? toe : name === 'leftHeel' ? heel : undefined;
        const lifted = put === undefined ? 0 : between(frame, launchFrame, launchFrame + 2) - between(frame, put, put + 2);
        return [ahead, up + 0.15 * lifted];
      };
    expect(read('pv.land', landing(66, 69)), 'ball first').to.be.closeTo(3 * gap, gap);
    expect(read('pv.land', landing(70, 66)), 'heel first').to.be.closeTo(-4 * gap, gap);
  });

  it('tell how long after the fist the foot is down that steps with it, and nothing where none steps', () => {
    const gap = 1000 / rate;
    /** Four fifths of the way of a foot that is on its way for ten frames. */
    const down = (from: number): number => (from + 8 - contactFrame) * gap;
    for (const from of [contactFrame - 12, contactFrame - 8, contactFrame - 2])
      expect(read('pv.sync', stepping([from, from + 10, 0.3], [from, from + 10, 0.3]), 'jab')).to.be.closeTo(down(from), 12);
    const onTheSpot = stepping([...early, 0.02], [...early, 0.02]);
    expect(read('pv.sync', onTheSpot, 'jab')).to.equal(undefined);
  });

  it('tell nothing of a step towards the camera, of a turn, and of a strike', () => {
    const ids: ShippedCheckpointId[] = ['pv.first-foot', 'pv.recover', 'pv.no-cross', 'pv.step-size', 'st.length'];
    const onTheSpot = stepping([...early, 0.02], [...late, 0.02]);
    const step = stepping([...early, 0.4], [...late, 0.4]);
    const turning: Moving = (name, frame) => {
      const [ahead, up] = step(name, frame);
      return name === 'leftToe' ? [ahead - 0.6 * between(frame, launchFrame, contactFrame), up] : [ahead, up];
    };
    for (const id of ids) {
      expect(read(id, onTheSpot), id).to.equal(undefined);
      expect(read(id, turning), id).to.equal(undefined);
      expect(read(id, step, 'jab'), id).to.equal(undefined);
    }
  });

  it('tell whether a swap is whole, and how far it drifts', () => {
    const swap = (share: number, drift = 0): Moving => {
      const moving = stepping([launchFrame, contactFrame, -0.9 * share], [launchFrame, contactFrame, 0.9 * share]);
      return (name, frame) => {
        const [ahead, up] = moving(name, frame);
        return [ahead + drift * between(frame, launchFrame, contactFrame), up];
      };
    };
    expect(read('st.lead', swap(1), 'stance-swap')).to.be.closeTo(1, 0.05);
    expect(read('st.lead', swap(0.5), 'stance-swap')).to.be.closeTo(0, 0.05);
    expect(read('pv.switch', swap(1), 'stance-swap')).to.be.closeTo(0, 0.05);
    const drifted = read('pv.switch', swap(1, -0.4), 'stance-swap')!;
    expect(drifted).to.be.above(0.35);
    expect(read('pv.switch', swap(1, 0.4), 'stance-swap'), 'either way').to.be.closeTo(drifted, 0.05);
  });

  it('are found to begin when the first foot leaves, and not where neither does', () => {
    const begins = (moving: Moving, technique = 'step-and-recover'): number | undefined =>
      momentsOnPath(sceneOf(moving), moments, techniqueIn(shippedCatalogue, technique))!.at('launch');
    const launched = (launchFrame * 1000) / rate;
    expect(begins(stepping([...early, 0.4], [...late, 0.4]))).to.be.closeTo(launched, 30);
    expect(begins(stepping([...late, -0.4], [...early, -0.4]), 'step-back')).to.be.closeTo(launched, 30);
    expect(begins(stepping([...early, 0.4], [...late, 0]))!, 'the other stays').to.be.closeTo(launched, 30);
    expect(begins(stepping([...early, 0.02], [...late, 0.02]))).to.equal(undefined);
  });
});
