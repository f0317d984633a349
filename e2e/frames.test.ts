import { expect } from 'chai';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { addSession, addTrainee, filmOnBench, press, shownFrame, signedIn } from './coach.ts';
import { access, frames, numberedFilms, type Access } from './numbered-films.ts';
import { expectNoProblems } from './running-club.ts';

/** The same accesses on every run. */
function scattered(count: number, seed: number): number[] {
  let state = seed;
  return Array.from({ length: count }, () => {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31;
    return state % frames;
  });
}
const run = (from: number, to: number): number[] =>
  Array.from({ length: Math.abs(to - from) + 1 }, (_, step) => (to > from ? from + step : from - step));
const wrong = (accesses: Access[]): Access[] => accesses.filter(({ wanted, read }) => wanted !== read);

describe('every frame that is asked for is the one that is drawn', function () {
  this.timeout(240_000);
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-numbered-'))));
  after(() => rm(folder, { recursive: true }));
  expectNoProblems();

  /** Where the bench of each film is, once it was worked in. */
  const benches = new Map<string, string>();
  async function bench(name: string, change: { forget?: 'VideoDecoder' } = {}): Promise<Page> {
    const page = await signedIn(change);
    const known = benches.get(name);
    if (known) {
      await page.goto(known);
      await shownFrame(page, 0);
      return page;
    }
    const path = join(folder, name);
    await numberedFilms[name]!(path);
    await addTrainee(page, `Numbers ${name}`);
    await addSession(page);
    await filmOnBench(page, path);
    benches.set(name, page.url());
    return page;
  }

  for (const name of Object.keys(numberedFilms)) {
    it(`in ${name}: random, forward, back, and in jumps of ten`, async () => {
      const page = await bench(name);
      // A run is longer than the way between two key frames.
      const back = frames - 22;
      expect(wrong(await access(page, [...scattered(18, 7), back], 'scrubber'))).to.deep.equal([]);
      expect(wrong(await access(page, run(back, frames - 1), 'keys'))).to.deep.equal([]);
      expect(wrong(await access(page, run(frames - 1, back), 'keys'))).to.deep.equal([]);
      const jumps = Array.from({ length: 8 }, (_, step) => back - 10 * step);
      expect(wrong(await access(page, jumps, 'keys'))).to.deep.equal([]);
      await page.context().close();
    });
  }

  for (const name of ['constant-30.mp4', 'variable.mp4']) {
    it(`in ${name} also where the browser cannot decode by itself`, async () => {
      const page = await bench(name, { forget: 'VideoDecoder' });
      expect(wrong(await access(page, scattered(12, 11), 'scrubber'))).to.deep.equal([]);
      expect(wrong(await access(page, [...run(30, 45), ...run(45, 35)], 'scrubber'))).to.deep.equal([]);
      await page.context().close();
    });
  }

  it('after playing and stopping, at every speed', async () => {
    const page = await bench('constant-60.mp4');
    for (const slower of ['', ',', ',', ',']) {
      await press(page, slower);
      await access(page, [20], 'scrubber');
      await press(page, 'Space');
      await page.waitForFunction(() => /frame (2[5-9]|[3-9]\d|\d{3})/.test(document.querySelector('.where')?.textContent ?? ''));
      await press(page, 'Space');
      await page.locator('.stage video').waitFor({ state: 'hidden' });
      const stopped = Number(await page.locator('.stage canvas').getAttribute('data-frame'));
      expect(wrong(await access(page, [stopped], 'scrubber'))).to.deep.equal([]);
      expect(stopped).to.be.above(20);
    }
    await access(page, [0], 'scrubber');
    await press(page, 'ArrowLeft');
    await shownFrame(page, 0);
    await page.context().close();
  });
});
