import { expect } from 'chai';
import fc from 'fast-check';
import { emptyTrack, numbersOfFrame, numbersOfPoint, pointAt, pointIn, type PointName, type Track } from '../body/index.ts';
import { timelineOf, timeOf } from '../film/index.ts';
import { usualTail } from '../measure/index.ts';
import { views, type View } from '../technique/index.ts';
import {
  differenceOf,
  drawnFrom,
  drawnPicture,
  drawnStrike,
  fitted,
  placed,
  placementOf,
  placeOfInstant,
  sharedClock,
  strikingPath,
  type Placement,
} from './index.ts';

/** A film at a rate that wavers, as that of a phone does. */
const filmed = (frames: number, rate: number, waver: number) =>
  timelineOf(Array.from({ length: frames }, (_, frame) => (frame * 1000) / rate + waver * Math.sin(frame)));
const moments = (contactFrame: number, out: number, back: number) => ({
  launchFrame: contactFrame - out,
  contactFrame,
  homeFrame: contactFrame + back,
});

describe('two strikes on one clock', () => {
  const films = fc.record({
    rates: fc.tuple(fc.constantFrom(24, 30, 60, 120), fc.constantFrom(25, 29.97, 50, 240)),
    contacts: fc.tuple(fc.integer({ min: 60, max: 200 }), fc.integer({ min: 60, max: 200 })),
    lock: fc.constantFrom('launch' as const, 'contact' as const, 'home' as const),
  });

  it('shows in each the frame of the moment at which they are locked, and at every step frames taken nearest to one instant', () => {
    fc.assert(
      fc.property(films, ({ rates, contacts, lock }) => {
        const [first, second] = rates.map((rate, place) => ({
          timeline: filmed(400, rate, 1),
          moments: moments(contacts[place]!, 6 + 8 * place, 20),
        })) as [Parameters<typeof sharedClock>[0], Parameters<typeof sharedClock>[1]];
        const clock = sharedClock(first, second, lock);
        expect(clock.instants[clock.lockedAt]).to.equal(0);
        expect(clock.framesAt(0)).to.deep.equal([first.moments[`${lock}Frame`], second.moments[`${lock}Frame`]]);
        for (const instant of clock.instants) {
          for (const [place, frame] of clock.framesAt(instant).entries()) {
            const { timeline, moments: told } = [first, second][place]!;
            const off = (at: number) => Math.abs(timeOf(timeline, at) - timeOf(timeline, told[`${lock}Frame`]) - instant);
            expect(off(frame)).to.be.at.most(Math.min(off(frame - 1), off(frame + 1)) + 1e-6);
          }
        }
      }),
      { numRuns: 30 },
    );
  });

  it('goes by the film with more frames, one of its frames a step', () => {
    const slow = { timeline: filmed(100, 25, 0), moments: moments(50, 5, 10) };
    const quick = { timeline: filmed(400, 100, 0), moments: moments(200, 20, 40) };
    const { instants, framesAt } = sharedClock(slow, quick, 'contact');
    const shown = instants.map((instant) => framesAt(instant)[1]);
    for (const [place, frame] of shown.slice(1).entries()) expect(frame - shown[place]!).to.equal(1);
    expect(placeOfInstant(instants, 3)).to.equal(instants.indexOf(0));
  });
});

/** Somebody whose points lie here. */
function standing(places: Readonly<Record<string, readonly [number, number]>>): Track {
  const track = emptyTrack(0, 3);
  for (let frame = 0; frame < 3; frame++)
    for (const [name, [x, y]] of Object.entries(places))
      track.values.set([x + frame, y, 0, 1], frame * numbersOfFrame + pointAt[name as PointName] * numbersOfPoint);
  return track;
}
const body = {
  leftShoulder: [310, 100],
  rightShoulder: [280, 104],
  leftHip: [306, 210],
  rightHip: [284, 212],
  leftKnee: [330, 290],
  rightKnee: [270, 300],
  leftAnkle: [350, 380],
  rightAnkle: [250, 384],
} as const;
const turnedBy = (change: Placement) =>
  Object.fromEntries(Object.entries(body).map(([name, place]) => [name, placed(change, place)] as const));
const mirroredNames = (places: Record<string, readonly [number, number]>) =>
  Object.fromEntries(
    Object.entries(places).map(([name, place]) => [
      name.startsWith('left') ? name.replace('left', 'right') : name.replace('right', 'left'),
      place,
    ]),
  );

describe('one body laid over another', () => {
  const changes = fc.record({
    mirrored: fc.boolean(),
    scale: fc.double({ min: 0.3, max: 3, noNaN: true }),
    turn: fc.double({ min: -0.12, max: 0.12, noNaN: true }),
    x: fc.integer({ min: -300, max: 900 }),
    y: fc.integer({ min: -300, max: 300 }),
  });

  it('comes to lie where the other stands, whatever its size and place, mirrored where it stood the other way round', () => {
    fc.assert(
      fc.property(changes, (change) => {
        const away = turnedBy(change);
        const track = standing(change.mirrored ? mirroredNames(away) : away);
        const back = placementOf({ track: standing(body), frame: 0 }, { track, frame: 0 })!;
        expect(back.mirrored).to.equal(change.mirrored);
        for (const [name, [x, y]] of Object.entries(body)) {
          const [atX, atY] = placed(back, away[name]!);
          expect(Math.hypot(atX - x, atY - y)).to.be.below(0.5);
        }
      }),
    );
  });

  it('is not turned upright when it leans: a lean is what one looks for', () => {
    const leaning = turnedBy({ mirrored: false, scale: 1, turn: 0.6, x: 0, y: 0 });
    const { turn } = placementOf({ track: standing(body), frame: 0 }, { track: standing(leaning), frame: 0 }, false)!;
    expect(Math.abs(turn)).to.be.at.most(0.14);
  });

  it('is fitted whole into the middle where nobody was followed', () => {
    for (const mirrored of [false, true]) {
      const placement = fitted({ width: 320, height: 480 }, { width: 640, height: 360 }, mirrored);
      const corners = (
        [
          [0, 0],
          [320, 480],
        ] as const
      ).map((corner) => placed(placement, corner));
      expect(corners.map(([x]) => x).sort((a, b) => a - b)).to.deep.equal([200, 440]);
      expect(corners.map(([, y]) => y)).to.deep.equal([0, 360]);
    }
  });

  it('is left where it is when nobody, or hardly anything of them, is seen', () => {
    expect(placementOf({ track: standing(body), frame: 0 }, { track: emptyTrack(0, 3), frame: 0 })).to.equal(undefined);
    const few = standing({ leftHip: [1, 2], rightHip: [3, 4] });
    expect(placementOf({ track: standing(body), frame: 0 }, { track: few, frame: 0 })).to.equal(undefined);
  });
});

describe('the way of what strikes', () => {
  const track = standing({ ...body, leftWrist: [400, 120], rightWrist: [200, 120], rightAnkle: [250, 384] });
  const timeline = filmed(3, 50, 0);
  const film = { track, view: 'lead-side' as const, stance: 'orthodox' as const };
  const all = { launchFrame: 0, contactFrame: 1, homeFrame: 2 };

  const table: [string, { side: 'lead' | 'rear'; kind: 'hand' | 'kick' }, number][] = [
    ['the hand in front', { side: 'lead', kind: 'hand' }, 400],
    ['the hand behind', { side: 'rear', kind: 'hand' }, 200],
    ['the foot behind', { side: 'rear', kind: 'kick' }, 250],
  ];
  for (const [what, technique, x] of table) {
    it(`is that of ${what}`, () => {
      const path = strikingPath(film, timeline, all, technique);
      expect(path.map((at) => at.x)).to.deep.equal([x, x + 1, x + 2]);
      expect(path.map(({ time }) => time)).to.deep.equal([0, 20, 40]);
    });
  }
});

describe('the difference of two measures', () => {
  const measured = (value: number) => ({ value, doubt: 5, shared: 3, degrees: usualTail });

  it('is doubted by both', () => {
    const { value, doubt, clear } = differenceOf(measured(10), measured(40), false);
    expect([value, clear]).to.deep.equal([30, true]);
    expect(doubt).to.be.closeTo(Math.hypot(5, 5), 1e-9);
    expect(differenceOf(measured(10), measured(20), false).clear).to.equal(false);
  });

  it('is doubted less within a film: what all its strikes are off by is the same in both', () => {
    expect(differenceOf(measured(10), measured(20), true).doubt).to.be.closeTo(Math.hypot(4, 4), 1e-9);
  });
});

describe('a strike that is drawn', () => {
  /** Somebody who stands upright with a hand out to the left and one to the front, in millimetres of the room. */
  const room = emptyTrack(0, 2);
  const places: Partial<Record<PointName, readonly [number, number, number]>> = {
    nose: [0, 1650, 120],
    leftShoulder: [180, 1400, 0],
    rightShoulder: [-180, 1400, 0],
    leftHip: [100, 900, 0],
    rightHip: [-100, 900, 0],
    leftWrist: [600, 1400, 0],
    rightWrist: [-180, 1400, 600],
    leftAnkle: [120, 80, 200],
    rightAnkle: [-120, 80, -200],
  };
  for (const frame of [0, 1])
    for (const [name, place] of Object.entries(places))
      room.values.set([...place, 1], frame * numbersOfFrame + pointAt[name as PointName] * numbersOfPoint);
  const drawn = drawnStrike({ launchFrame: 0, contactFrame: 1, homeFrame: 1 }, room);
  const seen = (view: View) => {
    const track = drawnFrom(drawn, view);
    return (name: PointName) => pointIn(track, 1, pointAt[name])!;
  };

  it('stands upright in the picture, whole, at its own times', () => {
    for (const view of views) {
      const at = seen(view);
      for (const name of Object.keys(places) as PointName[]) {
        expect(at(name).x, `${view} ${name}`).to.be.within(0, drawnPicture.width);
        expect(at(name).y, `${view} ${name}`).to.be.within(0, drawnPicture.height);
      }
      expect(at('nose').y).to.be.below(at('leftHip').y);
      expect(at('leftHip').y).to.be.below(at('leftAnkle').y);
    }
    expect(timeOf(drawn.timeline, 1)).to.be.closeTo(1000 / 60, 1e-6);
  });

  it('is seen from where the camera stands', () => {
    // From the lead side of somebody orthodox: what is hit lies to the left of the picture, the lead hand towards the camera.
    const side = seen('lead-side');
    expect(side('rightWrist').x).to.be.below(side('rightShoulder').x - 50);
    expect(side('leftWrist').depth).to.be.below(side('leftShoulder').depth - 50);
    const other = seen('rear-side');
    expect(other('rightWrist').x).to.be.above(other('rightShoulder').x + 50);
    expect(other('leftWrist').depth).to.be.above(other('leftShoulder').depth + 50);
    // From the front their left is on the right, and what reaches out comes nearer.
    const front = seen('front');
    expect(front('leftShoulder').x).to.be.above(front('rightShoulder').x);
    expect(front('rightWrist').depth).to.be.below(front('rightShoulder').depth);
    const rear = seen('rear');
    expect(rear('leftShoulder').x).to.be.below(rear('rightShoulder').x);
  });
});
