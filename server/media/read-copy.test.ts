import { expect } from 'chai';
import { rejects } from 'node:assert/strict';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ffmpeg, goodFilms, made } from '../test/films.ts';
import { shownTimes } from './inspect.ts';
import { probe } from './probe.ts';
import { readReviewCopy } from './read-copy.ts';
import { makeReviewCopy } from './review-copy.ts';

describe('a review copy', function () {
  this.timeout(60_000);
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-copies-'))));
  after(() => rm(folder, { recursive: true }));

  for (const [name, width, height] of [
    ['phone.mp4', 320, 240],
    ['variable.mp4', 320, 240],
    ['portrait.mp4', 240, 320],
    ['edited.mp4', 320, 240],
  ] as const) {
    it(`of ${name} is read as it is decoded`, async () => {
      const source = await made(folder, name, goodFilms[name]!);
      const found = await probe(source);
      const film = join(folder, `copy-of-${name}`);
      await makeReviewCopy({ source, film, found, pictureEnd: 10_000, silent: false, onProgress: () => undefined });
      const copy = await readReviewCopy(film);
      const shown = await shownTimes(film);
      expect(copy.times).to.have.length(shown.length);
      for (const [place, time] of copy.times.entries()) expect(time).to.be.closeTo(shown[place]!, 0.001);
      expect({ ...copy, times: [] }).to.deep.equal({ times: [], width, height, isHeard: found.channels > 0 });
    });
  }

  it('of sound alone, or of pictures none of which could be read, has no picture; what is no film is refused', async () => {
    const sound = join(folder, 'sound.mp4');
    await ffmpeg('-f', 'lavfi', '-i', 'sine=f=300:d=1', '-c:a', 'aac', sound);
    const none = join(folder, 'none.mp4');
    await ffmpeg('-f', 'lavfi', '-i', 'testsrc2=d=1', '-vf', 'select=0', '-c:v', 'libx264', none);
    for (const path of [sound, none]) expect((await readReviewCopy(path)).times).to.deep.equal([]);
    const text = join(folder, 'text.mp4');
    await writeFile(text, 'no film');
    await rejects(readReviewCopy(text));
    await rejects(readReviewCopy(join(folder, 'not-there.mp4')));
  });
});
