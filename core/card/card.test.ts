import { expect } from 'chai';
import { emptyTrack, numbersOfFrame, numbersOfPoint, pointAt, type PointName, type Track } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import { followedFilm, type FollowedFilm } from '../measure/index.ts';
import { phaseFrames } from '../strikes/index.ts';
import { shippedCatalogue } from '../technique/index.ts';
import { cardStills, middlePart, shownPart, stillShape, turnsWrong, type StrikeForCard } from './index.ts';

const frames = 40;
const picture = { width: 640, height: 360 };
const standing: Partial<Record<PointName, readonly [number, number]>> = {
  nose: [306, 60],
  leftMouth: [308, 72],
  rightMouth: [304, 72],
  leftShoulder: [310, 100],
  rightShoulder: [290, 104],
  leftElbow: [330, 130],
  rightElbow: [300, 140],
  leftWrist: [350, 110],
  rightWrist: [320, 100],
  leftHip: [306, 180],
  rightHip: [290, 182],
  leftKnee: [330, 240],
  rightKnee: [276, 250],
  leftAnkle: [350, 300],
  rightAnkle: [256, 304],
  leftHeel: [346, 310],
  rightHeel: [250, 312],
  leftToe: [366, 312],
  rightToe: [276, 314],
};
/** Somebody who stands, and whose lead hand falls from a frame on by so many pixels a frame. */
function standingWith(fallsFrom: number, by: number): Track {
  const track = emptyTrack(0, frames);
  for (let frame = 0; frame < frames; frame++)
    for (const [name, [x, y]] of Object.entries(standing)) {
      const falls = name === 'leftWrist' ? Math.max(0, frame - fallsFrom) * by : 0;
      track.values.set([x, y + falls, 0, 1], frame * numbersOfFrame + pointAt[name as PointName] * numbersOfPoint);
    }
  return track;
}
const timeline = timelineOf(Array.from({ length: frames }, (_, frame) => frame * 20));
const filmOf = (track: Track): FollowedFilm => followedFilm({ timeline, track, picture, view: 'lead-side', stance: 'orthodox' })!;
const moments = {
  ...{ launchFrame: 5, contactFrame: 15, homeFrame: 30 },
  ...{ launchOrigin: 'set' as const, contactOrigin: 'set' as const, homeOrigin: 'set' as const },
};
const strike = (track: Track): StrikeForCard => ({ timeline, picture, followed: filmOf(track), moments });
const jab = shippedCatalogue.techniques.get('jab')!;
const returnLine = shippedCatalogue.checkpoints.get('gd.return-line')!;
const about = { checkpoint: returnLine, technique: jab };

describe('where a strike turns wrong', () => {
  it('is the last frame in which it still went the way of the good one', () => {
    const [fault, good] = [standingWith(18, 8), standingWith(99, 0)].map(filmOf) as [FollowedFilm, FollowedFilm];
    const frame = turnsWrong({ film: fault, moments }, { film: good, moments }, ['leftWrist'])!;
    expect(frame).to.be.within(18, 23);
  });

  it('is not told where both go the same way, nor where somebody was not seen', () => {
    const one = filmOf(standingWith(99, 0));
    expect(turnsWrong({ film: one, moments }, { film: one, moments }, ['leftWrist'])).to.equal(undefined);
    const nobody = { ...one, track: emptyTrack(0, frames) };
    expect(turnsWrong({ film: one, moments }, { film: nobody, moments }, ['leftWrist'])).to.equal(undefined);
  });
});

describe('the part of a picture that a still shows', () => {
  const film = filmOf(standingWith(99, 0));

  it('lies in the picture, has the shape of a still, and holds what it is about', () => {
    for (const [stop, names] of [
      ['striking hand', ['leftWrist', 'nose', 'leftShoulder']],
      ['feet', ['leftToe', 'rightHeel', 'leftHip']],
      ['after', ['nose', 'leftAnkle']],
    ] as const) {
      const part = shownPart(film, 10, stop, []);
      expect(part.width / part.height).to.be.closeTo(stillShape, 1e-9);
      expect(part.x).to.be.at.least(0);
      expect(part.x + part.width).to.be.at.most(picture.width + 1e-9);
      expect(part.y + part.height).to.be.at.most(picture.height + 1e-9);
      for (const name of names) {
        const [x, y] = standing[name]!;
        expect(x, `${stop}: ${name}`).to.be.within(part.x, part.x + part.width);
        expect(y, `${stop}: ${name}`).to.be.within(part.y, part.y + part.height);
      }
    }
  });

  it('shows the hands closer than the whole body', () => {
    expect(shownPart(film, 10, 'striking hand', []).width).to.be.below(shownPart(film, 10, 'after', []).width);
  });

  it('is the middle where nobody is seen', () => {
    expect(shownPart({ ...film, track: emptyTrack(0, frames) }, 10, 'feet', [])).to.deep.equal(middlePart(picture));
    expect(middlePart(picture)).to.deep.equal({ x: 80, y: 0, width: 480, height: 360 });
  });
});

describe('the stills of a card', () => {
  const fault = strike(standingWith(18, 8));
  const good = strike(standingWith(99, 0));
  const judged = phaseFrames(timeline, moments)[returnLine.phase];

  it('are the moment that is judged, of the fault and of the clean one, and the frame where they part', () => {
    const stills = cardStills(about, { is: fault, turns: fault, should: good }, {});
    expect(stills.map(({ role, origin }) => [role, origin])).to.deep.equal([
      ['is', 'moment'],
      ['turns', 'found'],
      ['should', 'moment'],
    ]);
    expect(stills[0]!.frame).to.equal(judged);
    expect(stills[1]!.frame).to.be.within(18, 23);
    expect(stills[0]!.shapes).to.have.length(1);
  });

  it('show half of the way, and say so, where there is nothing to hold it against', () => {
    const [turns] = cardStills(about, { turns: fault }, {});
    expect([turns!.origin, turns!.frame]).to.deep.equal(['likely', Math.floor((moments.launchFrame + judged) / 2)]);
  });

  it('are what the coach has set', () => {
    const [is] = cardStills(about, { is: fault }, { is: 12 });
    expect([is!.origin, is!.frame]).to.deep.equal(['set', 12]);
  });

  it('are the middle of the picture without lines where nobody was followed', () => {
    const [is] = cardStills(about, { is: { ...fault, followed: undefined } }, {});
    expect([is!.part, is!.shapes]).to.deep.equal([middlePart(picture), []]);
  });
});
