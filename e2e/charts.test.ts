import { expect } from 'chai';
import { asc, eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { film, strike, trainee, trainingSession } from '../server/db/schema/index.ts';
import { signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';

describe('what is picked in a chart', function () {
  let page: Page;
  before(async () => {
    page = await signedIn();
  });
  after(() => page.context().close());
  expectNoProblems();

  const picked = () => page.getByRole('status', { name: 'Picked' });
  const drawn = () => page.getByRole('img', { name: 'A drawn body' });

  it('is a strike that stands out in every row of the sheet, at an address of its own', async () => {
    const { db } = await runningClub();
    const filmId = await demoFilmId('idris-4-lead-side');
    const [one] = await db
      .select({ strikeId: strike.id, technique: strike.technique, sessionId: film.sessionId })
      .from(strike)
      .innerJoin(film, eq(film.id, strike.filmId))
      .where(eq(film.id, filmId))
      .orderBy(asc(strike.contactFrame))
      .limit(1);
    await page.goto(`/sessions/${one!.sessionId}/strikes?technique=${one!.technique}&strike=${one!.strikeId}`);
    await picked().getByText('Strike at').waitFor();
    await page.locator('.sheet canvas').waitFor();
    await picked().getByRole('link', { name: 'With how it should be' }).click();
    await page.waitForURL(`**/compare/${one!.strikeId}/drawn`);
    await drawn().waitFor();
    await page.goBack();
    await picked().getByRole('button', { name: 'Let go' }).click();
    await picked().waitFor({ state: 'detached' });
    expect(page.url()).to.not.include('strike=');
  });

  it('is a session among levels, held against the newest at its rung', async () => {
    const { db } = await runningClub();
    const sessions = await db
      .select({ id: trainingSession.id, traineeId: trainee.id })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(trainee.name, 'Idris Falkeid'))
      .orderBy(asc(trainingSession.heldOn));
    await page.goto(`/trainees/${sessions[0]!.traineeId}?picked=${sessions[0]!.id}`);
    await picked().getByText('most of them').waitFor();
    await picked()
      .getByRole('link', { name: /^Compare with/ })
      .click();
    await page.waitForURL(/compare\/[^/]+\/[0-9a-f-]{36}/);
    await page.locator('.stage canvas:not([data-frame="-1"])').nth(1).waitFor();
    const captions = await page.locator('figcaption').allInnerTexts();
    expect(captions.every((one) => one.includes('Idris Falkeid'))).to.equal(true);
    expect(captions[0]).to.not.equal(captions[1]!.replace('Second', 'First'));
  });

  it('is half a minute of a round: the same thing tired and fresh', async () => {
    await page.goto(`/films/${await demoFilmId('sunniva-bag-lead-side')}/rounds`);
    const chart = page.locator('.says .chart canvas').first();
    await chart.waitFor();
    const box = (await chart.boundingBox())!;
    // Along the foot of the upper panel, where every bar is, from the last one on.
    const places = Array.from({ length: 40 }, (_, step) => box.width - 20 - (step * (box.width - 70)) / 40);
    for (const x of places) {
      if (page.url().includes('half=')) break;
      await chart.click({ position: { x, y: 94 } });
    }
    await page.waitForURL(/half=\d/);
    await picked().getByRole('link', { name: 'Compare with the first one of the round' }).waitFor();
    const address = page.url();
    await page.reload();
    await picked().waitFor();
    expect(page.url()).to.equal(address);
  });
});
