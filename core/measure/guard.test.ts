import { expect } from 'chai';
import { checkpoints as shippedCheckpoints, isMeasureId } from '../technique/index.ts';
import { pointMeasures } from './index.ts';
import { contactFrame, homeFrame, launchFrame, between, readOf, still, type Moving } from './moving-body.test-data.ts';

/** Both fists as high as the chin. */
const guarded: Moving = (name) => {
  const [ahead, up] = still(name);
  return [ahead, /Wrist|Index|Little|Thumb/.test(name) ? up + 0.15 : up];
};
/** Somebody who jabs: the left hand goes out and comes home, so much lower than it was. */
const jabs =
  (lower = 0, change: Moving = guarded): Moving =>
  (name, frame) => {
    const [ahead, up] = change(name, frame);
    if (!/^left(Wrist|Index|Little|Thumb)/.test(name)) return [ahead, up];
    const out = between(frame, launchFrame, contactFrame) - between(frame, contactFrame, homeFrame);
    return [ahead + 0.8 * out, up - lower * between(frame, contactFrame, homeFrame)];
  };
/** The right hand hangs from one frame to another. */
const hangs =
  (from: number, to: number): Moving =>
  (name, frame) => {
    const [ahead, up] = guarded(name, frame);
    return [ahead, /^right(Wrist|Index|Little|Thumb)/.test(name) && frame >= from && frame < to ? up - 0.6 : up];
  };
/** Heads in a trunk. */
const head = 0.45;

describe('what is told beside the guard', () => {
  it('is read of every row that names it, and of no other', () => {
    const named = shippedCheckpoints.flatMap(({ besides }) => besides ?? []);
    expect(named).to.have.members(Object.keys(pointMeasures).filter((id) => isMeasureId(id)));
  });

  it('is how far the hand comes home from where it was', () => {
    expect(readOf('home-miss', jabs())).to.be.below(0.1);
    for (const lower of [0.2, 0.4]) expect(readOf('home-miss', jabs(lower))).to.be.closeTo(lower / head, 0.12);
  });

  it('is against the chin: whoever sinks with both is as near as before', () => {
    const sinks: Moving = (name, frame) => {
      const [ahead, up] = guarded(name, frame);
      return [ahead, up - 0.3 * between(frame, launchFrame, contactFrame)];
    };
    expect(readOf('home-miss', jabs(0, sinks))).to.be.below(0.1);
  });

  it('is how long neither hand nor shoulder covers the chin', () => {
    const milliseconds = (frames: number): number => (frames * 1000) / 60;
    expect(readOf('exposure-time', jabs())).to.be.closeTo(0, 15);
    // Between two frames it is on its way: half of that at either end.
    expect(readOf('exposure-time', jabs(0, hangs(70, 82)))).to.be.within(milliseconds(11), milliseconds(16));
    expect(readOf('exposure-time', jabs(0, hangs(0, 200))), 'all the while').to.be.closeTo(
      milliseconds(homeFrame - launchFrame),
      25,
    );
  });

  it('is nothing where the shoulder is at the chin', () => {
    const covered: Moving = (name, frame) => {
      const [ahead, up] = hangs(70, 82)(name, frame);
      return name === 'leftShoulder' ? [ahead, up + 0.25] : [ahead, up];
    };
    expect(readOf('exposure-time', jabs(0, covered))).to.be.closeTo(0, 15);
  });
});
