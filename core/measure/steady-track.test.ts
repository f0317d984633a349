import { deviation, mean } from 'd3-array';
import { expect } from 'chai';
import { hasBody, numbersOfFrame, numbersOfPoint, pointAt, pointIn, type Pin, type Track } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import { pinnedFilm, steadinesses, steadyFilm, steadyTrack, type FollowedFilm } from './index.ts';
import { between, contactFrame, launchFrame, sceneOf, still, type Moving } from './moving-body.test-data.ts';
import { steadyNormals } from './shake.ts';

const levels = steadinesses.filter((one) => one !== 'found');

describe('a steadier track', () => {
  const standing: Moving = (name) => still(name);
  /** Every number put off by so many pixels, each time the same way. */
  function noisy(film: FollowedFilm, spread: number): FollowedFilm {
    const normal = steadyNormals(7);
    const values = film.track.values.map((value, place) => (place % numbersOfPoint < 2 ? value + spread * normal(place) : value));
    const track = { ...film.track, values };
    return { ...film, track, found: track };
  }
  const across = (track: Track, name: keyof typeof pointAt): number[] =>
    Array.from({ length: track.frames }, (_, frame) => pointIn(track, frame, pointAt[name])?.x ?? NaN);

  it('of whoever stands still jumps less the steadier it is, and stays where they stand', () => {
    const film = noisy(sceneOf(standing), 4);
    const spreads = [film.track, ...levels.map((level) => steadyTrack(film.track, film, level))].map((track) =>
      deviation(across(track, 'leftWrist'))!,
    );
    for (const [place, spread] of spreads.slice(1).entries()) expect(spread, levels[place]).to.be.below(spreads[place]!);
    expect(spreads.at(-1)).to.be.below(spreads[0]! / 2);
    const steadiest = across(steadyTrack(film.track, film, 'steadiest'), 'leftWrist');
    expect(mean(steadiest)).to.be.closeTo(mean(across(film.track, 'leftWrist'))!, 0.2);
  });

  it('has a fist land when it lands, neither earlier nor later', () => {
    const jab: Moving = (name, frame) => {
      const [ahead, up] = still(name);
      const out = between(frame, launchFrame, contactFrame) - between(frame, contactFrame, contactFrame + 20);
      return /left(Wrist|Knuckle|Thumb)/.test(name) ? [ahead + out, up] : [ahead, up];
    };
    const film = sceneOf(jab);
    // The target is to the left: farthest out is the least.
    for (const level of levels) {
      const places = across(steadyTrack(film.track, film, level), 'leftWrist');
      expect(places.indexOf(Math.min(...places)), level).to.be.within(contactFrame - 1, contactFrame + 1);
    }
    const reached = Math.min(...across(film.track, 'leftWrist'));
    expect(Math.min(...across(steadyTrack(film.track, film, 'steady'), 'leftWrist'))).to.be.closeTo(reached, 10);
  });

  it('is the same where something goes evenly, however unevenly it was filmed', () => {
    const film = sceneOf(standing);
    const times = Array.from({ length: 160 }, (_, frame) => 16 * frame + (frame % 3) * 5);
    const values = film.track.values.map((value, place) =>
      place % numbersOfPoint === 0 ? value + times[Math.floor(place / numbersOfFrame)]! / 10 : value,
    );
    const track = { ...film.track, values };
    for (const level of levels) {
      const steady = across(steadyTrack(track, { ...film, timeline: timelineOf(times) }, level), 'rightAnkle');
      for (const [frame, x] of across(track, 'rightAnkle').entries()) expect(steady[frame]).to.be.closeTo(x, 0.01);
    }
  });

  it('lets one frame that jumps count for little', () => {
    const film = sceneOf(standing);
    const values = film.track.values.slice();
    values[80 * numbersOfFrame + pointAt.leftWrist * numbersOfPoint]! += 120;
    const [found, steady] = [film.track, steadyTrack({ ...film.track, values }, film, 'steadier')].map((track) =>
      across(track, 'leftWrist'),
    ) as [number[], number[]];
    expect(Math.abs(steady[80]! - found[80]!)).to.be.below(25);
    expect(Math.abs(steady[84]! - found[84]!)).to.be.below(5);
  });

  it('has nobody where nobody was found, and does not reach across, nor from one body to another', () => {
    const film = sceneOf(standing);
    const values = film.track.values.slice();
    values.fill(NaN, 40 * numbersOfFrame, 50 * numbersOfFrame);
    // Behind the gap they stand elsewhere, and in the end somebody else is followed.
    for (let place = 100 * numbersOfFrame; place < values.length; place += numbersOfPoint) values[place]! -= 250;
    for (let place = 50 * numbersOfFrame; place < values.length; place += numbersOfPoint) values[place]! += 300;
    const track = { ...film.track, values };
    for (const level of levels) {
      const steady = steadyTrack(track, film, level);
      for (const frame of [40, 49]) expect(hasBody(steady, frame)).to.equal(false);
      for (const frame of [39, 50, 99, 100])
        expect(pointIn(steady, frame, pointAt.nose)!.x).to.be.closeTo(pointIn(track, frame, pointAt.nose)!.x, 0.01);
    }
  });

  it('is worked out once, and pins are where they were put', () => {
    const film = noisy(sceneOf(standing), 4);
    expect(steadyFilm(film, 'found')).to.equal(film);
    expect(steadyFilm({ ...film }, 'steady').track).to.equal(steadyFilm(film, 'steady').track);
    const pin: Pin = { frame: 80, point: 'leftWrist', said: 'here', x: 333, y: 222 };
    const pinned = steadyFilm(pinnedFilm(film, [pin]), 'steadier').track;
    const { x, y } = pointIn(pinned, 80, pointAt.leftWrist)!;
    expect([x, y]).to.deep.equal([333, 222]);
    const unpinned = steadyFilm(film, 'steadier').track;
    expect(pointIn(pinned, 20, pointAt.leftWrist)).to.deep.equal(pointIn(unpinned, 20, pointAt.leftWrist));
  });
});
