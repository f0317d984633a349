import { hasBody, hipsAt, isSameBody, joinedTrack, pointAt, pointIn, type Track } from '@wax-fist/core/body';
import { followedFilm, measurable, measureByPoints } from '@wax-fist/core/measure';
import { shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { filmPath } from '../server/demo/footage.ts';
import { pointsOfFilm, type FilmToWatch } from '../server/pose/film-points.ts';
import { ffmpeg } from '../server/test/films.ts';
import { filmToWatch } from './film-to-watch.ts';

/** Somebody of 960 × 540 pixels’ film, hips at 566, 276 and feet at 470, filmed at 60 frames a second. */
const source = filmPath('maren-first-lead-side');

describe('a body in an odd film', function () {
  this.timeout(300_000);
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-odd-'))));
  after(() => rm(folder, { recursive: true }));

  async function followedIn(seconds: string, filter: string): Promise<{ film: FilmToWatch; track: Track }> {
    const path = join(folder, `${filter.replace(/\W/g, '-').slice(0, 20)}.mp4`);
    const fine = ['-c:v', 'libx264', '-preset', 'ultrafast', '-crf', '20', '-an', path];
    await ffmpeg('-ss', '1.5', '-i', source, '-t', seconds, '-filter_complex', filter, ...fine);
    const film = await filmToWatch(path, 'lite');
    return { film, track: joinedTrack(await pointsOfFilm(film)) };
  }
  const framesOf = (track: Track): number[] => Array.from({ length: track.frames }, (_, place) => track.from + place);

  it('is nobody while the picture is black, and found again after it', async () => {
    const { track } = await followedIn('0.9', "fps=30,drawbox=t=fill:color=black:enable='between(t,0.3,0.6)'");
    const there = framesOf(track).filter((frame) => hasBody(track, frame));
    expect(there.filter((frame) => frame >= 10 && frame <= 17)).to.deep.equal([]);
    expect(there).to.include.members([2, 5, 22, 25]);
  });

  it('is measured as far as it is in the picture, and no further', async () => {
    const { film, track } = await followedIn('0.5', 'fps=30,crop=960:330:0:0');
    const followed = followedFilm({ ...film, picture: film, track, view: 'lead-side', stance: 'orthodox' })!;
    const moments = { launchFrame: 3, contactFrame: 7, homeFrame: 12 };
    const strike = { ...moments, launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' } as const;
    const one = measurable(followed, strike, techniqueIn(shippedCatalogue, 'jab'))!;
    expect(measureByPoints(one, 'st.lean')!.value).to.be.a('number');
    expect(measureByPoints(one, 'st.balance')).to.have.property('reason').that.includes('out of the picture');
  });

  it('is found in a picture that stands upright', async () => {
    const { film, track } = await followedIn('0.3', 'fps=30,crop=300:540:400:0');
    expect(film.height).to.be.above(film.width);
    for (const frame of framesOf(track)) expect(hipsAt(track, frame)![1], `frame ${frame}`).to.be.closeTo(276, 30);
  });

  it('beside its own likeness in a mirror is one of both, and stays that one', async () => {
    const { track } = await followedIn('0.6', 'fps=30,crop=480:540:340:0,split[a][b];[b]hflip[c];[a][c]hstack');
    const [first, ...others] = framesOf(track);
    for (const frame of others) expect(isSameBody(track, frame - 1, track, frame), `frame ${frame}`).to.equal(true);
    expect(hasBody(track, first!)).to.equal(true);
  });

  it('is followed at 240 frames a second, each of them', async () => {
    const { film, track } = await followedIn('0.2', 'setpts=PTS/4,fps=240,scale=480:270');
    expect(film.timeline.length).to.equal(track.frames);
    expect(film.timeline[1]! - film.timeline[0]!).to.be.closeTo(1000 / 240, 0.2);
    const heads = framesOf(track).map((frame) => pointIn(track, frame, pointAt.nose)!.y);
    expect(Math.max(...heads)).to.be.below(100);
  });
});
