import { emptyTrack, numbersOfFrame, type Track } from '@wax-fist/core/body';
import { timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { rejects } from 'node:assert/strict';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { BadFile } from './media-file.ts';
import { readPoints, writePoints } from './points-file.ts';

describe('a file of points', () => {
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-points-'))));
  after(() => rm(folder, { recursive: true }));
  const film = { path: 'films/round.mp4', timeline: timelineOf([0, 33, 67]), width: 640, height: 360 };
  const track: Track = emptyTrack(0, 3);
  track.values.fill(16, numbersOfFrame, 2 * numbersOfFrame);

  for (const name of ['points.json', 'points.gz'])
    it(`${name} is read as it was written`, async () => {
      const path = join(folder, name);
      const seen: Track = { ...track, values: track.values.map((value, place) => (place % 4 === 3 ? value / 16 : value)) };
      await writePoints(path, seen, film, 'full');
      expect(await readPoints(path, film)).to.deep.equal(seen);
    });

  it('says of which film it is, and which model has looked', async () => {
    const path = join(folder, 'told.json');
    await writePoints(path, track, film, 'heavy');
    const { film: name, model, width } = JSON.parse(await readFile(path, 'utf8')) as Record<string, unknown>;
    expect([name, model, width]).to.deep.equal(['round.mp4', 'heavy', 640]);
  });

  it('is refused in words where it is none, is broken, or is of another film', async () => {
    const refused = (path: string, words: RegExp, of = film) =>
      rejects(readPoints(path, of), (error) => error instanceof BadFile && words.test(error.message));
    await refused(join(folder, 'nowhere.json'), /There is no file/);
    const [json, packed, broken] = ['one.json', 'one.gz', 'broken.gz'].map((name) => join(folder, name)) as [
      string,
      string,
      string,
    ];
    await writePoints(json, track, film, 'lite');
    await writePoints(packed, track, film, 'lite');
    await writeFile(broken, (await readFile(packed)).subarray(0, 40));
    for (const bytes of ['', '{', '[]', 'null', gzipSync('{"packed": 3}')]) {
      await writeFile(join(folder, 'other'), bytes);
      await refused(join(folder, 'other'), /holds no points/);
    }
    await refused(broken, /holds no points/);
    for (const path of [json, packed])
      await refused(path, /3 frames, and this film has 2/, { ...film, timeline: timelineOf([0, 33]) });
    await refused(packed, /holds no points of this film/, { ...film, width: 1280, height: 720 });
  });
});
