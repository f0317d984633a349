import { expect } from 'chai';
import { and, eq, like } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { film, trainee, trainingSession } from '../server/db/schema/index.ts';
import { addSession, addTrainee, chosen, sendFilm, signedIn } from './coach.ts';
import { filmPath } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';

describe('a film in which two trainees took turns', function () {
  this.timeout(180_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  it('is cut into their films by the keyboard, and the whole can be put back', async () => {
    await addTrainee(page, 'Olga Testing');
    await addTrainee(page, 'Ola Testing');
    await addSession(page);
    await sendFilm(page, filmPath('tove-rounds-lead-side'));
    await page.getByRole('link', { name: 'Review', exact: true }).waitFor({ timeout: 90_000 });
    const session = page.url();
    const { db } = await runningClub();
    const [added] = await db
      .select({ id: film.id })
      .from(film)
      .where(eq(film.sessionId, session.split('/').at(-1)!));
    await page.goto(`/films/${added!.id}/rounds`);
    await page.getByLabel('Name of Round 3').waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Several trainees in this film?' }).focus();
    await page.keyboard.press('Enter');
    // A list shows what is near to what is chosen: their names are neighbours.
    await chosen(page, 'Who works in Round 2', 'Olga Testing');
    await page.getByRole('button', { name: 'Cut the film' }).focus();
    await page.keyboard.press('Enter');
    await page.waitForURL(session);
    await page.getByText('tove-rounds-lead-side, part 1.mkv').waitFor();
    await page.getByText('tove-rounds-lead-side, part 3.mkv').waitFor();
    const ofOlga = db
      .select({ id: film.id })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId));
    const parts = await ofOlga.where(and(eq(trainee.name, 'Olga Testing'), like(film.fileName, '%part 2.mkv')));
    expect(parts).to.have.length(1);
    await page.goto('/removed');
    await page.getByText('tove-rounds-lead-side.mp4').waitFor();
  });
});
