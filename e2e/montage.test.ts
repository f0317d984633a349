import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

describe('a montage on the page', function () {
  this.timeout(240_000);
  let page: Page;
  before(async () => {
    page = await signedIn();
    const id = await demoFilmId('maren-first-lead-side');
    const film = (await (await runningClub()).db.query.film.findMany()).find((one) => one.id === id)!;
    await page.goto(`/sessions/${film.sessionId}`);
  });
  after(() => page.context().close());
  expectNoProblems();

  it('opens from a row of the session, goes from strike to strike, and stays where one says so', async () => {
    await page.getByRole('link', { name: 'Montage of return line' }).first().press('Enter');
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    const heading = page.locator('.stage .heading');
    await soon(async () => expect(await heading.innerText()).to.match(/^1 of \d+ · lead side$/));
    await page.keyboard.press('Space');
    await page.getByRole('button', { name: 'Go on' }).waitFor();
    await page.keyboard.press('ArrowRight');
    await page.getByText(/^2 of \d+ · lead side$/).waitFor();
    await page.keyboard.press('ArrowLeft');
    await page.getByText(/^1 of \d+ · lead side$/).waitFor();
  });

  it('is another one at another address, which opens the same when it is opened again', async () => {
    await page.getByRole('button', { name: 'All clean ones' }).click();
    await page.waitForURL(/which=clean/);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    await page.reload();
    await page.getByRole('button', { name: 'All clean ones', pressed: true }).waitFor();
    await page.getByRole('button', { name: 'Then and now' }).click();
    await page.getByText('There is nothing to hold it against').waitFor();
  });
});
