import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { eq } from 'drizzle-orm';
import { plan as planTable, trainee } from '../server/db/schema/index.ts';
import { chosen, signedIn } from './coach.ts';
import { filmPath } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** Seconds that a clock shows. */
const secondsOf = (text: string): number => {
  const [minutes, seconds] = text.split(':').map(Number);
  return minutes! * 60 + seconds!;
};

for (const { width, height } of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  describe(`the floor, ${width} × ${height}`, function () {
    this.timeout(240_000);
    let page: Page;
    let traineeId: string;
    before(async () => {
      page = await signedIn({ worksOffline: true });
      await page.setViewportSize({ width, height });
      const { db } = await runningClub();
      const all = await db.select().from(trainee);
      traineeId = all.find(({ name }) => name.startsWith('Pavel'))!.id;
    });
    after(() => page.context().close());
    expectNoProblems();

    const clock = async (): Promise<number> => secondsOf(await page.getByRole('timer').innerText());

    it('plans a session from an open correction: low, one rung up, and a re-check with its shot', async () => {
      await page.goto(`/trainees/${traineeId}/plan`);
      await page.getByText('It keeps every rule.').waitFor();
      for (const kind of ['Warm-up', 'Correction, low', 'Correction, one rung up', 'Re-check', 'Cool-down'])
        await page.getByText(kind, { exact: true }).first().waitFor();
      await page.getByText(/^ ?Film \d+ strikes? from the/).waitFor();
      const cautions = await page.getByText('Wraps and gloves', { exact: false }).count();
      expect(cautions).to.be.above(0);
    });

    it('says what a change breaks, and takes it back', async () => {
      const rounds = page.getByRole('combobox', { name: /^Rounds of/ }).nth(2);
      await rounds.selectOption('12');
      await page.getByText(/hard rounds; \d+ a session are the most here/).waitFor();
      await page.keyboard.press('Control+z');
      await page.getByText('It keeps every rule.').waitFor();
    });

    it('is saved, and goes to the floor', async () => {
      await page.getByRole('button', { name: 'Save' }).click();
      await page.waitForURL(/\/plans\/[0-9a-f-]+$/);
      await page.getByRole('link', { name: 'To the floor' }).click();
      await page.getByRole('button', { name: 'Start' }).waitFor();
    });

    it('runs by the clock, pauses, skips, gives one more round, and survives a reload', async () => {
      await page.clock.install();
      await page.reload();
      await page.getByRole('button', { name: 'Start' }).click();
      await page.clock.runFor(10_500);
      await page.getByText('Work', { exact: true }).waitFor();
      const before = await clock();
      await page.clock.runFor(5000);
      expect(before - (await clock())).to.equal(5);
      await page.keyboard.press('Space');
      const stood = await clock();
      await page.clock.runFor(5000);
      expect(await clock()).to.equal(stood);
      await page.keyboard.press('Space');
      await page.keyboard.press('ArrowRight');
      await page.getByText('Next', { exact: true }).waitFor();
      await page.keyboard.press('ArrowRight');
      await page.getByText(/round 1 of 2/).waitFor();
      await page.getByRole('button', { name: 'One more round (+)' }).click();
      await page.getByText(/round 1 of 3/).waitFor();
      await page.clock.runFor(3000);
      // The clock of the page goes on while it is loaded again, and catches up then with what it took to be run ahead: no more is gone
      // than has passed on it.
      const timeThere = () => page.evaluate(() => Date.now());
      const readAt = await timeThere();
      const left = await clock();
      await page.reload();
      await page.getByText(/round 1 of 3/).waitFor();
      const now = await clock();
      expect(now).to.be.within(left - Math.ceil(((await timeThere()) - readAt) / 1000), left);
    });

    it('calls what is thrown and changes the lead half way', async () => {
      await page.getByText('Work, usual lead').waitFor();
      await soon(async () => expect(await page.locator('.call').innerText()).not.to.equal(''));
      await page.clock.runFor(60_000);
      await page.getByText('Work, other lead').waitFor();
    });

    it('keeps what was done while there is no line, and writes it down once there is', async () => {
      await page.evaluate(async () => void (await navigator.serviceWorker.ready));
      await page.context().setOffline(true);
      await page.reload();
      await page.getByText('Work, other lead').waitFor();
      for (let skips = 0; skips < 80 && !(await page.getByText('All done').isVisible()); skips++) {
        await page.clock.runFor(3000);
        await page.keyboard.press('ArrowRight');
      }
      await page.getByRole('button', { name: 'Write it down' }).click();
      await page.waitForURL('/floor').catch(() => undefined);
      await page.getByText('waits here for a connection').waitFor();
      const { db } = await runningClub();
      const planned = async () => (await db.select().from(planTable).where(eq(planTable.traineeId, traineeId))).at(-1)!;
      expect((await planned()).done).to.equal(null);
      await page.context().setOffline(false);
      await page.evaluate(() => window.dispatchEvent(new Event('online')));
      await page.getByText('waits here for a connection').waitFor({ state: 'detached' });
      expect((await planned()).done!.length).to.be.above(3);
      await db.delete(planTable).where(eq(planTable.traineeId, traineeId));
    });
  });
}

describe('from the floor to the answer', function () {
  this.timeout(240_000);
  let page: Page;
  let traineeId: string;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  it('what was filmed has its place in the session, and the bench opens with what is asked', async () => {
    const { db } = await runningClub();
    const all = await db.select().from(trainee);
    traineeId = all.find(({ name }) => name.startsWith('Pavel'))!.id;
    // On the floor with a phone; what was filmed is looked at where there is a table.
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/trainees/${traineeId}/plan`);
    await page.getByText('It keeps every rule.').waitFor();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL(/\/plans\//);
    await page.getByRole('link', { name: 'To the floor' }).click();
    await page.clock.install();
    await page.getByRole('button', { name: 'Start' }).click();
    await page.getByRole('button', { name: 'Films what is to be filmed' }).click();
    await page.getByText('Camera is ready').waitFor();
    for (let skips = 0; skips < 80 && !(await page.getByText('All done').isVisible()); skips++) {
      await page.clock.runFor(2000);
      // The camera gives pictures by its own time: a round that is filmed is not left before something is written.
      const films = page.getByText('Films', { exact: true });
      if (await page.getByText('Begins to film').or(films).isVisible()) await films.waitFor();
      await page.keyboard.press('ArrowRight');
    }
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByText('Done on').waitFor();
    await page.getByRole('link', { name: /rung \d/ }).click();
    await page.getByText('Planned here').waitFor();
    // What was filmed by the clock of the floor is in its place already.
    await page.getByText('Another film', { exact: true }).waitFor({ timeout: 90_000 });
    await page
      .getByLabel(/^Film for/)
      .first()
      .setInputFiles(filmPath('pavel-1-front'));
    const allTheSame = page.getByRole('button', { name: 'Send all the same' });
    await allTheSame.or(page.locator('.film')).first().waitFor();
    if (await allTheSame.isVisible()) await allTheSame.click();
    await page.getByText('Another film', { exact: true }).waitFor({ timeout: 90_000 });
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByRole('link', { name: 'Review', exact: true }).first().click({ timeout: 90_000 });
    await page.getByLabel('Open corrections on this film').waitFor();
  });

  it('and the answer moves the next plan: what is locked is looked at one rung up', async () => {
    const planned = async (): Promise<void> => {
      await page.goto(`/trainees/${traineeId}/plan`);
      await page.getByText('It keeps every rule.').waitFor();
    };
    await planned();
    await soon(async () => expect(await page.locator('li.re-check').innerText()).to.include('heavy bag'));
    await page.goto(`/trainees/${traineeId}`);
    await page.getByRole('button', { name: 'Put on a rung by hand' }).first().click();
    await chosen(page, 'It is', 'Locked');
    await chosen(page, 'At', '5: Pads, called');
    await page.getByLabel('Why, against the numbers').fill('Seen at the club, three times.');
    await page.getByRole('button', { name: 'Put it there' }).click();
    await page.getByText('Seen at the club').waitFor();
    await planned();
    await page.getByText('“Pads, called” needs pads and somebody who holds.').first().waitFor();
    await soon(async () => expect(await page.locator('li.re-check').count()).to.equal(0));
  });
});
