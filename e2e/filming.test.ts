import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { addSession, addTrainee, goTo, shownFrame, signedIn } from './coach.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

describe('filming', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => {
    page = await signedIn();
    await addTrainee(page, 'Finn Testing');
    await addSession(page);
    await page.getByRole('link', { name: 'Film rounds now' }).click();
  });
  after(() => page.context().close());
  expectNoProblems();

  it('shows what the camera sees and how loud it is', async () => {
    await page.waitForFunction(() => document.querySelector<HTMLVideoElement>('.camera video')?.videoWidth);
    await page.waitForFunction(() => Number(document.querySelector('[role=meter]')?.getAttribute('aria-valuenow')) > 0.2);
  });

  it('begins only when whoever is filmed has agreed', async () => {
    const start = page.getByRole('button', { name: 'Start the clock' });
    await soon(async () => expect(await start.isDisabled()).to.equal(true));
    await page.getByRole('button', { name: 'Ask now' }).click();
    await page.getByRole('button', { name: 'They agree' }).click();
    // What stays, and not the notice: it may have gone again before a busy machine looks.
    await soon(async () => expect(await start.isEnabled()).to.equal(true));
  });

  it('a plan that cannot be is refused, with the reason', async () => {
    await page.getByLabel('Rounds').fill('0');
    await page.getByRole('button', { name: 'Start the clock' }).click();
    await page.getByText('Rounds: at least 1.').waitFor();
  });

  it('rounds go by the clock, each into the session as a film that can be reviewed', async () => {
    for (const [field, value] of [
      ['Rounds', '2'],
      ['Work', '6'],
      ['Rest', '2'],
      ['Get ready', '1'],
    ] as const)
      await page.getByLabel(field, { exact: true }).fill(value);
    await page.getByRole('button', { name: 'Start the clock' }).click();
    await page.getByText('Get ready, round 1 of 2').waitFor();
    await page.getByText('Work, round 1 of 2').waitFor();
    await page.getByText('Rest, round 2 of 2').waitFor();
    await page.getByText('Work, round 2 of 2').waitFor();
    await page.getByText('2 rounds in the session').waitFor({ timeout: 30_000 });
    await page.getByRole('link', { name: 'Back to the session' }).click();
    const films = page.locator('.film[data-state="ready"]');
    await films.nth(1).waitFor({ timeout: 60_000 });
    await soon(async () => expect(await films.getByText(/Round [12], /).count()).to.equal(2));
    // A browser that is held up as a round begins starts to record late (a stop of half a second: 5.0 of 6 s); never into the rest.
    for (const length of await films.locator('.number').allInnerTexts()) expect(length).to.match(/0:0[3-6]/);
    await films.first().getByRole('link', { name: 'Review', exact: true }).click();
    await shownFrame(page, 0);
    // How many pictures a busy machine filmed is not known; it went on filming to the end.
    const last = Number(await page.getByLabel('Place in the film').getAttribute('max'));
    expect(last).to.be.greaterThan(12);
    await goTo(page, last);
  });

  it('stopped before the end, what was filmed is kept', async () => {
    await page.goBack();
    await page.getByRole('link', { name: 'Film rounds now' }).click();
    await page.getByLabel('Get ready', { exact: true }).fill('0');
    await page.getByRole('button', { name: 'Start the clock' }).click();
    await page.getByText('Work, round 1 of 2').waitFor();
    await page.waitForTimeout(2500);
    await page.keyboard.press('Escape');
    await page.getByText('1 round in the session').waitFor({ timeout: 30_000 });
  });
});
