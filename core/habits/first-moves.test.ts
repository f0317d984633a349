import { expect } from 'chai';
import { emptyTrack, numbersOfFrame, numbersOfPoint, pointAt, pointNames } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import { motionOf, type Motion } from '../strikes/index.ts';
import { firstMoves, movesBefore, type TimedStrike } from './first-moves.ts';
import { isReadable } from './habits.ts';
import type { MovingPart } from './moving-part.ts';

const seconds = 60;
const trunk = 120;
/** A jab every two seconds. */
const strikes: TimedStrike[] = Array.from({ length: 25 }, (_, place) => ({
  ...{ id: String(place), technique: 'jab', side: 'lead', doubt: 20 },
  ...{ launch: 2000 + 2000 * place, home: 2400 + 2000 * place },
}));

/** A body that stands, but for what it does before strikes: which part goes how far in trunks, in which of them, and how long before. */
function body(moves: { part: MovingPart; far: number; before: number; in: (place: number) => boolean }[], jitter = 0.01): Motion {
  const timeline = timelineOf(Array.from({ length: seconds * 30 }, (_, frame) => (frame * 1000) / 30));
  const track = emptyTrack(0, timeline.length);
  const home: Partial<Record<string, readonly [number, number]>> = {
    nose: [0, 1.6],
    leftShoulder: [0.1, 1],
    rightShoulder: [-0.1, 1],
    leftWrist: [0.4, 1.2],
    rightWrist: [0.2, 1.2],
  };
  timeline.forEach((time, frame) => {
    const away = (part: MovingPart): number =>
      moves
        .filter((one) => one.part === part)
        .reduce((sum, { far, before, ...one }) => {
          const place = strikes.findIndex(({ launch, home: back }) => time >= launch - before && time <= back);
          return place >= 0 && one.in(place) ? sum + far * Math.min(1, (time - strikes[place]!.launch + before) / 60) : sum;
        }, 0);
    for (const name of pointNames) {
      const [ahead, up] = home[name] ?? [0, 0];
      const own = name === 'nose' ? away('head') : name === 'leftWrist' ? -away('hand') : 0;
      const shake = jitter * Math.sin(frame * (1 + pointAt[name]));
      const at = frame * numbersOfFrame + pointAt[name] * numbersOfPoint;
      track.values.set([trunk * (3 + ahead + own + away('weight') + shake), trunk * (4 - up + shake), 0, 1], at);
    }
  });
  return motionOf({ timeline, track, torso: trunk, leftLeads: true });
}
const told = (motion: Motion, list = strikes) =>
  firstMoves(movesBefore(motion, list)).map(({ part, share, lead }) => ({ part, times: share.times, of: share.of, lead }));

describe('what moves before a strike', () => {
  it('is the hand in those strikes in which it draws back, and how long before', () => {
    const [first, ...others] = told(body([{ part: 'hand', far: 0.25, before: 200, in: (place) => place % 2 === 0 }]));
    expect(first).to.deep.include({ part: 'hand', times: 13, of: 25 });
    expect(first!.lead).to.be.within(140, 200);
    expect(others).to.deep.equal([]);
  });

  it('is the weight, or the head by itself', () => {
    for (const part of ['weight', 'head'] as const) {
      const found = told(body([{ part, far: 0.2, before: 240, in: () => true }]));
      expect(found.map((one) => one.part)).to.deep.equal([part]);
      expect(found[0]!.times).to.equal(25);
    }
  });

  it('is nothing where nothing moves more than at other times', () => {
    expect(told(body([]))).to.deep.equal([]);
    expect(told(body([], 0.3)).every(({ times }) => times <= 5)).to.equal(true);
  });

  it('is not told of strikes that come right after another, that are only guessed, or whose side nobody knows', () => {
    const motion = body([{ part: 'hand', far: 0.25, before: 200, in: () => true }]);
    const [, second, third, ...others] = strikes;
    const odd: TimedStrike[] = [
      { ...strikes[0]!, home: second!.launch - 100 },
      { ...second!, id: 'right after' },
      { ...third!, id: 'guessed', doubt: undefined },
      { ...others[0]!, id: 'both', side: 'both' },
      ...others.slice(1),
    ];
    const ids = movesBefore(motion, odd).map(({ id }) => id);
    expect(ids).to.have.length(22);
    expect(ids).to.not.include.members(['right after']);
    expect(ids.some((id) => id === 'guessed' || id === 'both')).to.equal(false);
  });

  it('is not known where hardly anything is quiet, and not before a film begins', () => {
    const motion = body([{ part: 'hand', far: 0.25, before: 200, in: () => true }]);
    expect(movesBefore(motion, [{ ...strikes[0]!, home: seconds * 1000 }])).to.deep.equal([]);
    expect(movesBefore(motion, [{ ...strikes[0]!, launch: 200, home: 500 }])).to.deep.equal([]);
  });

  it('is read only when it surely comes before many', () => {
    const half = firstMoves(
      movesBefore(body([{ part: 'hand', far: 0.25, before: 200, in: (place) => place % 2 === 0 }]), strikes),
    );
    expect(isReadable({ kind: 'move', share: half[0]!.share })).to.equal(true);
    const few = firstMoves(movesBefore(body([{ part: 'hand', far: 0.25, before: 200, in: (place) => place < 4 }]), strikes));
    expect(isReadable({ kind: 'move', share: few[0]!.share })).to.equal(false);
  });
});
