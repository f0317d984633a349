import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { press, signedIn } from './coach.ts';
import { expectNoProblems } from './running-club.ts';

describe('points that a coach is asked for', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => {
    page = await signedIn();
    await page.goto('/measures');
    await page.getByRole('link', { name: 'Points checked' }).click();
    await page.getByText('nothing was checked yet').waitFor();
  });
  after(() => page.context().close());
  expectNoProblems();

  const shown = (place: number): Promise<void> => page.getByText(`${place} of 20`, { exact: true }).waitFor();
  const pictured = (): Promise<void> => page.locator('.asked canvas:not(.waiting)').waitFor();

  it('are pointed out with a click or by keys alone, one after the other, and put right', async () => {
    await page.getByRole('link', { name: 'Check twenty points' }).click();
    await shown(1);
    await pictured();
    expect(await page.getByRole('button', { name: 'Here, next' }).isDisabled()).to.equal(true);
    await page.locator('.asked').click();
    await page.getByRole('img', { name: /times as large/ }).waitFor();
    await page.getByRole('button', { name: 'Here, next' }).click();
    await shown(2);
    await pictured();
    await press(page, 'ArrowLeft Shift+ArrowUp Enter');
    await shown(3);
    await press(page, 'h');
    await shown(4);
    await press(page, 'Backspace');
    await shown(3);
    await pictured();
    await press(page, 'ArrowRight Enter');
    await shown(4);
  });

  it('say when all are looked at what came of it, and are taken back', async () => {
    for (let place = 4; place <= 20; place++) {
      await shown(place);
      await press(page, 'h');
    }
    await page.getByRole('heading', { name: '20 points looked at' }).waitFor();
    await page.getByText('by 3 points that were checked').waitFor();
    await page.getByRole('button', { name: 'Take these back' }).click();
    await page.getByRole('heading', { name: '20 points taken back' }).waitFor();
    await page.getByRole('link', { name: 'See what was learned' }).click();
    await page.getByText('nothing was checked yet').waitFor();
  });
});
