import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { press, signedIn } from './coach.ts';
import { demoFilmId, trueStrikes } from './demo-truth.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

const film = 'maren-first-lead-side';
/** Frames that may be shown beyond the end of a loop: a second of them, of a film of half a minute. */
const late = 60;

describe('playing', function () {
  this.timeout(90_000);
  let page: Page;
  before(async () => {
    page = await signedIn();
    await page.goto(`/review/${await demoFilmId(film)}`);
    await page.locator('.phases canvas:not([data-frame="-1"])').nth(4).waitFor();
  });
  after(() => page.context().close());
  expectNoProblems();

  const now = async (): Promise<number> => Number(/frame (\d+)/.exec(await page.locator('.where').innerText())![1]) - 1;

  it('a strike goes round and round until it is stopped', async () => {
    const [strike] = trueStrikes(film);
    await press(page, 'p');
    const seen = new Set<number>();
    let rounds = 0;
    let last = 0;
    while (rounds < 3) {
      const frame = await now();
      if (frame < last) rounds++;
      last = frame;
      seen.add(frame);
    }
    // The browser tells of a picture once it is on show, on a busy machine some pictures late: until then the film runs on.
    for (const frame of seen) expect(frame).to.be.within(strike!.launch - 5, strike!.home + late);
    await soon(async () =>
      expect(await page.locator('.stage video').evaluate((video: HTMLVideoElement) => video.muted)).to.equal(false),
    );
    await press(page, 'p');
    await page.locator('.stage video').waitFor({ state: 'hidden' });
    await soon(async () =>
      expect(await page.locator('.stage video').evaluate((video: HTMLVideoElement) => video.paused)).to.equal(true),
    );
  });

  it('goes at the speed that was chosen', async () => {
    for (const [key, name, rate] of [
      [',', '½', 0.5],
      [',', '¼', 0.25],
      [',', '⅛', 0.125],
      ['.', '¼', 0.25],
    ] as const) {
      await press(page, key);
      await page.locator('.speeds button[aria-pressed="true"]', { hasText: name }).waitFor();
      await press(page, 'Space');
      await page.locator('.stage video').waitFor({ state: 'visible' });
      await soon(async () =>
        expect(await page.locator('.stage video').evaluate((video: HTMLVideoElement) => video.playbackRate)).to.equal(rate),
      );
      await press(page, 'Space');
      await page.locator('.stage video').waitFor({ state: 'hidden' });
    }
  });

  it('the picture comes closer, is moved, and is whole again', async () => {
    const box = () => page.locator('.stage canvas').boundingBox();
    const whole = (await box())!;
    await press(page, '+ +');
    const near = (await box())!;
    expect(near.width / whole.width).to.be.closeTo(2.25, 0.01);
    await page.mouse.move(400, 300);
    await page.mouse.down();
    await page.mouse.move(460, 330, { steps: 4 });
    await page.mouse.up();
    const moved = (await box())!;
    expect(moved.x - near.x).to.be.closeTo(60, 2);
    expect(moved.y - near.y).to.be.closeTo(30, 2);
    await page.mouse.move(300, 250);
    await page.mouse.wheel(0, -200);
    expect((await box())!.width).to.be.above(moved.width);
    await press(page, '0');
    await soon(async () => expect(await box()).to.deep.equal(whole));
  });
});
