import { expect } from 'chai';
import fc from 'fast-check';
import { timelineOf } from '../film/index.ts';
import {
  emptyTrack,
  numbersOfFrame,
  pinBridge,
  pinReach,
  pointAt,
  pointCount,
  pointIn,
  pointNames,
  withPins,
  type Pin,
} from './index.ts';

const [frames, rate] = [60, 50];
const timeline = timelineOf(Array.from({ length: frames }, (_, frame) => (frame * 1000) / rate));
/** Every point of every frame at a place of its own. */
const found = (() => {
  const track = emptyTrack(0, frames);
  for (let at = 0; at < frames * pointCount; at++) track.values.set([at % 700, at % 300, 5, 0.5], at * 4);
  return track;
})();
const wrist = pointAt.leftWrist;
const here = (frame: number, dx: number, dy = 0): Pin => {
  const { x, y } = pointIn(found, frame, wrist)!;
  return { frame, point: 'leftWrist', said: 'here', x: x + dx, y: y + dy };
};
/** How far the wrist of a frame was moved. */
const movedIn = (track: ReturnType<typeof withPins>, frame: number): [dx: number, dy: number] => {
  const [now, before] = [pointIn(track, frame, wrist)!, pointIn(found, frame, wrist)!];
  return [now.x - before.x, now.y - before.y];
};

/** What is pinned as hidden is nowhere. */
const stays = (now: number, before: number): boolean => Number.isNaN(now) || now === before;

describe('points that are put right by hand', () => {
  const point = fc.constantFrom(...pointNames);
  const place = { frame: fc.nat(frames + 10), point };
  const pin: fc.Arbitrary<Pin> = fc.oneof(
    fc.record({ ...place, said: fc.constant('here' as const), x: fc.nat(1280), y: fc.nat(720) }),
    fc.record({
      ...place,
      said: fc.constantFrom('hidden' as const, 'free' as const),
      x: fc.constant(null),
      y: fc.constant(null),
    }),
  );
  const pins = fc.uniqueArray(pin, { selector: ({ frame, point: name }) => `${frame} ${name}`, maxLength: 30 });

  it('are where their pins are, or nowhere; what no pin reaches stays, and so does the track that was found', () =>
    fc.assert(
      fc.property(pins, (list) => {
        const before = found.values.slice();
        const track = withPins(found, timeline, list);
        for (const { frame, point: name, said, x, y } of list.filter((one) => one.frame < frames)) {
          const now = pointIn(track, frame, pointAt[name]);
          if (said === 'here') expect(now).to.include({ x, y, depth: 5 });
          if (said === 'hidden') expect(now).to.equal(undefined);
        }
        const pinned = new Set(list.filter(({ said }) => said === 'here').map(({ point: name }) => pointAt[name]));
        const touched = [...track.held.keys()].filter(
          (at) => !pinned.has(at % pointCount) && (track.held[at] !== 0 || !stays(track.values[at * 4]!, found.values[at * 4]!)),
        );
        expect(touched).to.deep.equal([]);
        expect(track.held.every((share) => share >= 0 && share <= 1)).to.equal(true);
        expect(found.values).to.deep.equal(before);
      }),
      { numRuns: 60 },
    ));

  it('pull the frames beside them, less and less, and none beyond their reach', () => {
    const track = withPins(found, timeline, [here(30, 40, -20)]);
    expect(movedIn(track, 30)).to.deep.equal([40, -20]);
    const after = [1, 2, 3, 4].map((frames) => movedIn(track, 30 + frames)[0]);
    expect(after).to.deep.equal(after.toSorted((a, b) => b - a));
    expect(after[0]).to.be.within(30, 40);
    expect(movedIn(track, 28)[0]).to.be.closeTo(after[1]!, 1e-3);
    const beyond = Math.ceil((pinReach * rate) / 1000) + 30;
    expect(movedIn(track, beyond)).to.deep.equal([0, 0]);
    expect(track.held[beyond * pointCount + wrist]).to.equal(0);
  });

  it('go over from one to the next where they are close, and leave what lies between two that are not', () => {
    const close = withPins(found, timeline, [here(20, 10), here(30, 30)]);
    expect(movedIn(close, 25)[0]).to.be.closeTo(20, 1e-3);
    const apart = Math.ceil((pinBridge * rate) / 1000) + 1;
    const far = withPins(found, timeline, [here(20, 10), here(20 + apart, 30)]);
    expect(movedIn(far, 20 + Math.round(apart / 2))[0]).to.equal(0);
  });

  it('are told where nobody was found, too, without any depth', () => {
    const nobody = emptyTrack(0, frames);
    const track = withPins(nobody, timeline, [{ frame: 3, point: 'leftWrist', said: 'here', x: 12, y: 34 }]);
    expect(pointIn(track, 3, wrist)).to.deep.equal({ x: 12, y: 34, depth: 0, seen: 1 });
    expect(track.values.slice(4 * numbersOfFrame).every(Number.isNaN)).to.equal(true);
  });
});
