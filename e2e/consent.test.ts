import { filmFileUrl } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { film, trainee } from '../server/db/schema/index.ts';
import { addSession, addTrainee, filmOnBench, signedIn } from './coach.ts';
import { filmPath } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';

describe('consent to be filmed', function () {
  this.timeout(180_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  it('is asked for where films are added, by the keyboard alone, in the hand as well', async () => {
    await addTrainee(page, 'Wren Testing');
    await page.getByText('Nobody has asked Wren Testing yet.').waitFor();
    await addSession(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole('button', { name: 'Ask now' }).focus();
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'May Wren Testing be filmed?' });
    await dialog.waitFor();
    await dialog.getByLabel('Everybody of the club').focus();
    await page.keyboard.press('Space');
    await dialog.getByLabel('Who agrees').focus();
    await page.keyboard.press('Enter');
    await page.getByText('Wren Testing may be filmed.').waitFor();
    await page.getByText('Nobody has asked').waitFor({ state: 'detached' });
    await page.setViewportSize({ width: 1280, height: 800 });
  });

  it('stands on the page of the trainee, and taken back the films are gone', async () => {
    const session = page.url();
    await filmOnBench(page, filmPath('maren-first-front'));
    const { db } = await runningClub();
    const [own] = await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.name, 'Wren Testing'));
    const filmId = /review\/([0-9a-f-]+)/.exec(page.url())![1]!;
    expect((await page.request.get(filmFileUrl(filmId, 'film.mp4'))).status()).to.equal(200);
    await page.goto(`/trainees/${own!.id}`);
    await page.getByText('seen by everybody of the club').waitFor();
    await page.getByRole('button', { name: 'Taken back' }).click();
    await page.getByRole('button', { name: 'Take it back, remove the films' }).click();
    await page.getByText('Taken back: 1 film').waitFor();
    await page.getByText('Wren Testing may not be filmed any more.').waitFor();
    expect((await page.request.get(filmFileUrl(filmId, 'film.mp4'))).status()).to.equal(404);
    expect((await db.select().from(film).where(eq(film.id, filmId)))[0]).to.include({ state: 'withdrawn' });
    await page.goto(session);
    await page.getByText('1 film was withdrawn: only what was counted is left.').waitFor();
  });
});
