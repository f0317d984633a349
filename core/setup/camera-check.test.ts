import { expect } from 'chai';
import type { BodyPoint, PointName } from '../body/index.ts';
import { cameraFindings, viewIn, type CameraPicture, type WantedPicture } from './index.ts';

/** Somebody who is seen from the side, facing to the left: shares of the height of the picture from its middle, at two thirds of it. */
const fromSide: Partial<Record<PointName, readonly [number, number]>> = {
  ...{
    nose: [-0.05, -0.32],
    leftEar: [0, -0.32],
    rightEar: [0, -0.32],
    leftShoulder: [-0.03, -0.22],
    rightShoulder: [0.03, -0.22],
  },
  ...{ leftWrist: [-0.08, -0.26], rightWrist: [-0.06, -0.25], leftHip: [0, -0.02], rightHip: [0.02, -0.02] },
  ...{ leftKnee: [-0.06, 0.15], rightKnee: [0.08, 0.15], leftAnkle: [-0.08, 0.31], rightAnkle: [0.12, 0.3] },
  ...{ leftHeel: [-0.07, 0.32], rightHeel: [0.14, 0.31], leftToe: [-0.15, 0.33], rightToe: [0.06, 0.33] },
};
const [width, height] = [1280, 720];
interface Changed {
  scale?: number;
  right?: number;
  down?: number;
  mirrored?: boolean;
  hidden?: readonly PointName[];
}
const body =
  ({ scale = 1, right = 0, down = 0, mirrored = false, hidden = [] }: Changed = {}) =>
  (name: PointName): BodyPoint => {
    const swapped = mirrored ? (name.startsWith('left') ? name.replace('left', 'right') : name.replace('right', 'left')) : name;
    const [x, y] = fromSide[swapped as PointName] ?? [0, 0];
    return {
      x: width / 2 + ((mirrored ? -x : x) * scale + right) * height,
      y: height / 2 + (y * scale + down) * height,
      ...{ depth: 0, seen: hidden.includes(name) ? 0.1 : 0.95 },
    };
  };
const front = (name: PointName): BodyPoint => {
  const side = name.startsWith('left') ? 1 : name.startsWith('right') ? -1 : 0;
  const { y } = body()(name);
  const wide = name.endsWith('Ankle') || name.endsWith('Heel') || name.endsWith('Toe') ? 0.08 : 0.06;
  return { x: width / 2 + side * wide * height, y, depth: 0, seen: 0.95 };
};
const picture = (change: Partial<CameraPicture> = {}): CameraPicture => ({
  ...{ width, height, point: body(), bodies: 1, brightness: 0.5, bodyBrightness: 0.45 },
  ...change,
});
const wanted: WantedPicture = { view: 'lead-side', stance: 'orthodox' };
const kinds = (change: Partial<CameraPicture> = {}, asked = wanted): string[] =>
  cameraFindings(picture(change), asked).map(({ kind }) => kind);
const says = (change: Partial<CameraPicture>, asked = wanted): string => cameraFindings(picture(change), asked)[0]?.says ?? '';

describe('a picture before a round', () => {
  it('that is good says nothing', () => expect(kinds()).to.deep.equal([]));

  it('knows from where it is: which side, front and back', () => {
    expect(viewIn(body(), 'orthodox')).to.equal('lead-side');
    expect(viewIn(body(), 'southpaw')).to.equal('rear-side');
    expect(viewIn(body({ mirrored: true }), 'orthodox')).to.equal('rear-side');
    expect(viewIn(front, 'orthodox')).to.equal('front');
    expect(viewIn((name) => ({ ...front(name), x: width - front(name).x }), 'orthodox')).to.equal('rear');
  });

  const cases: [what: string, change: Partial<CameraPicture>, kinds: string[], says: RegExp][] = [
    ['without anybody', { point: undefined, bodies: 0 }, ['nobody'], /stand where/],
    ['too dark', { brightness: 0.1, bodyBrightness: 0.1 }, ['dark'], /light/],
    ['with the feet cut off', { point: body({ down: 0.2 }) }, ['cut'], /feet\. Tilt it down/],
    ['with the head cut off', { point: body({ down: -0.2 }) }, ['cut'], /head\. Tilt it up/],
    ['with everything too large', { point: body({ scale: 1.6 }) }, ['cut'], /1\.6 times as far/],
    ['too near for a step', { point: body({ scale: 1.36 }) }, ['too near'], /times as far/],
    ['far away', { point: body({ scale: 0.5 }) }, ['too far'], /0\.5 of the distance/],
    ['half out at the side', { point: body({ right: 0.82 }) }, ['cut'], /Turn it/],
    ['from the other side', { point: body({ mirrored: true }) }, ['view'], /other side/],
    ['from the front', { point: front }, ['view'], /quarter round, square/],
    ['with something before the knees', { point: body({ hidden: ['leftKnee', 'rightKnee'] }) }, ['hidden'], /knees/],
    ['against the light', { bodyBrightness: 0.2, brightness: 0.6 }, ['backlit'], /window/],
    ['with two people', { bodies: 2 }, ['several'], /2 people/],
  ];
  for (const [what, change, found, words] of cases)
    it(`${what}: ${found.join()}`, () => {
      expect(kinds(change)).to.deep.equal(found);
      expect(says(change)).to.match(words);
    });

  it('takes front and quarter for the same, and tells the worst first', () => {
    expect(kinds({ point: front }, { view: 'quarter', stance: 'orthodox' })).to.deep.equal([]);
    const both = cameraFindings(picture({ point: body({ mirrored: true }), bodies: 2 }), wanted);
    expect(both.map(({ bad }) => bad)).to.deep.equal([true, false]);
  });
});
