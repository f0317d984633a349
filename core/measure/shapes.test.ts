import { expect } from 'chai';
import type { PointName } from '../body/index.ts';
import { shapesFor, wedge, type Shape } from './shapes.ts';

/** Somebody upright in a picture, facing left, with one arm bent by a right angle. */
const places: Partial<Record<PointName, [number, number]>> = {
  leftShoulder: [200, 100],
  rightShoulder: [220, 100],
  leftElbow: [200, 150],
  leftWrist: [150, 150],
  leftHip: [200, 200],
  rightHip: [220, 200],
  leftIndexKnuckle: [130, 150],
  leftHeel: [165, 390],
  leftToe: [125, 390],
  leftAnkle: [160, 380],
  rightAnkle: [260, 370],
  nose: [208, 66],
  leftMouth: [205, 70],
  rightMouth: [215, 74],
};
const placeOf = (name: PointName) => {
  const place = places[name];
  return place && { x: place[0], y: place[1] };
};
/** Where everybody was when it was looked first: twenty pixels further to the left. */
const before = (name: PointName) => {
  const place = placeOf(name);
  return place && { ...place, x: place.x - 20 };
};
/** Whoever stands opposite, a hundred and fifty pixels away. */
const opposite = (name: PointName) => {
  const place = placeOf(name);
  return place && { ...place, x: place.x - 150 };
};
const shapes = (checkpoint: string, points: PointName[] = [], hidden: PointName[] = []): Shape[] =>
  shapesFor(checkpoint, {
    ...{ points, first: before, last: placeOf, trunk: 100 },
    placeOf: (name) => (hidden.includes(name) ? undefined : placeOf(name)),
    partner: opposite,
  });
const arm: PointName[] = ['leftShoulder', 'leftElbow', 'leftWrist'];

describe('what is drawn of a measure', () => {
  it('a distance from hip to hip of both', () => {
    const [gap, ...others] = shapes('df.distance');
    expect(gap).to.deep.equal({ kind: 'line', from: { x: 210, y: 200 }, to: { x: 60, y: 200 }, dashed: false });
    expect(others, 'where the own hips were, and are').to.have.length(2);
    expect(shapes('df.distance', [], ['leftHip'])).to.have.length(1);
  });

  it('an angle where limbs meet, with its degrees, round the shorter way', () => {
    const [one, ...others] = shapes('sm.extension', arm);
    expect(one).to.include({ kind: 'angle' }).and.to.have.property('degrees').closeTo(90, 1e-9);
    expect(others).to.deep.equal([]);
    expect(wedge(one as Extract<Shape, { kind: 'angle' }>, 10)).to.equal('M200.0 140.0A10 10 0 0 0 190.0 150.0');
  });

  it('the plumb line through the hips, the base between the feet, the chin line, the level of an elbow', () => {
    const [down, trunk] = shapes('st.lean');
    expect([down, trunk].map((one) => one!.kind)).to.deep.equal(['line', 'line']);
    expect(down).to.deep.include({ dashed: true }).and.to.have.nested.property('from.x', 210);
    expect(shapes('st.balance')).to.have.length(5);
    const [floor] = shapes('st.width');
    expect(floor).to.deep.equal({ kind: 'line', from: { x: 160, y: 392 }, to: { x: 260, y: 392 }, dashed: false });
    expect(shapes('gd.height')[0]).to.have.nested.property('to.y', 72);
    expect(shapes('sm.hook-plane', arm)[0]).to.have.nested.property('from.y', 150);
  });

  it('how high it landed over the hips as they stood, and the hips that turn', () => {
    const [stood, up] = shapes('sm.target', ['leftIndexKnuckle']);
    expect(stood).to.deep.equal({ kind: 'line', from: { x: 90, y: 200 }, to: { x: 290, y: 200 }, dashed: true });
    expect(up).to.deep.equal({ kind: 'line', from: { x: 130, y: 200 }, to: { x: 130, y: 150 }, dashed: false });
    expect(shapes('sm.target', ['leftIndexKnuckle'], ['leftIndexKnuckle']), 'out of sight').to.have.length(1);
    expect(shapes('sm.hip-stop')[1]).to.deep.include({ from: { x: 200, y: 200 }, to: { x: 220, y: 200 } });
  });

  it('the straight way of a hand, from where it was looked at first to where it was looked at last', () => {
    expect(shapes('gd.return-line', ['leftWrist'])).to.deep.equal([
      { kind: 'line', from: { x: 130, y: 150 }, to: { x: 150, y: 150 }, dashed: true },
    ]);
  });

  it('a foot and where it points, the shoulders, the line of the hips, the head as it was, an arm’s reach', () => {
    const [beyond, foot] = shapes('pv.lead-turn', ['leftHeel', 'leftToe']);
    expect(foot).to.deep.include({ dashed: false, from: { x: 165, y: 390 }, to: { x: 125, y: 390 } });
    expect(beyond).to.have.nested.property('to.x', 101);
    expect(shapes('pv.lead-turn', ['rightHeel'])).to.deep.equal([]);
    expect(shapes('sm.rotation')[1]).to.deep.include({ from: { x: 200, y: 100 }, to: { x: 220, y: 100 } });
    expect(shapes('df.check')[0]).to.have.nested.property('from.y', 200);
    expect(shapes('df.slip')[0]).to.deep.include({ from: { x: 188, y: 6 }, to: { x: 188, y: 346 } });
    expect(shapes('sm.range', arm)).to.deep.equal([
      { kind: 'line', from: { x: 200, y: 100 }, to: { x: 150, y: 150 }, dashed: false },
    ]);
    const [bent] = shapes('sm.wrist', ['leftElbow', 'leftWrist', 'leftIndexKnuckle']);
    expect(bent).to.have.property('degrees', 180);
  });

  it('the way of a foot from where it stood, and how far the hips have come', () => {
    const [stood, way, ...others] = shapes('pv.recover', ['leftToe']);
    expect(stood).to.deep.include({ from: { x: 105, y: 375 }, to: { x: 105, y: 395 } });
    expect(way).to.deep.include({ from: { x: 105, y: 390 }, to: { x: 125, y: 390 }, dashed: false });
    expect(others, 'the other foot is not looked at').to.deep.equal([]);
    expect(shapes('pv.switch').map((one) => one.kind === 'line' && [one.from.x, one.dashed])).to.deep.equal([
      [190, true],
      [210, false],
    ]);
    expect(shapes('pv.no-cross')).to.deep.equal(shapes('st.width'));
  });

  it('nothing of what is hidden, and nothing of rows that need no line', () => {
    expect(shapes('sm.extension', arm, ['leftElbow'])).to.deep.equal([]);
    expect(shapes('st.lean', [], ['leftHip'])).to.deep.equal([]);
    expect(shapes('sm.fist', arm)).to.deep.equal([]);
    expect(shapes('our-own-row', arm)).to.deep.equal([]);
  });
});
