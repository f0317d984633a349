import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';

describe('notes by voice and text', function () {
  this.timeout(240_000);
  let page: Page;
  let sessionId: string;
  before(async () => {
    page = await signedIn();
    await page.context().grantPermissions(['microphone']);
    const id = await demoFilmId('idris-1-lead-side');
    sessionId = (await (await runningClub()).db.query.film.findMany()).find((one) => one.id === id)!.sessionId;
    await page.goto(`/review/${id}`);
  });
  after(() => page.context().close());
  expectNoProblems();

  it('one is typed at the bench with the keyboard alone, and stands on the session’s page with the way back', async () => {
    await page.getByLabel('The walk').getByRole('heading').first().waitFor();
    await page.keyboard.press('Shift+n');
    const dialog = page.getByRole('dialog', { name: 'Notes on this strike' });
    await dialog.waitFor();
    await page.keyboard.type('Watch the shoulder here');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await dialog.getByText('Watch the shoulder here').waitFor();
    await page.goto(`/sessions/${sessionId}`);
    const notes = page.getByRole('region', { name: 'Notes' });
    await notes.getByText('Watch the shoulder here').waitFor();
    await notes.getByRole('link').first().press('Enter');
    await page.waitForURL(/\/review\//);
    await page.goBack();
  });

  it('one is spoken, can be played, and is taken away again', async () => {
    const notes = page.getByRole('region', { name: 'Notes' });
    await notes.getByRole('button', { name: 'Speak' }).click();
    await notes.getByText('0:01').waitFor();
    await notes.getByRole('button', { name: 'Stop' }).click();
    await notes.getByRole('button', { name: 'Keep' }).click();
    const audio = notes.locator('audio');
    await audio.waitFor();
    const bytes = await page.evaluate(
      async (src) => (await (await fetch(src)).arrayBuffer()).byteLength,
      (await audio.getAttribute('src'))!,
    );
    expect(bytes).to.be.above(1000);
    const away = notes.getByRole('button', { name: 'Take this note away' });
    for (let left = await away.count(); left > 0; left--) {
      await away.first().click();
      await page.waitForFunction((count) => document.querySelectorAll('[aria-label="Take this note away"]').length < count, left);
    }
  });
});
