import { dayAfter, weekOf } from '@wax-fist/core/days';
import { localDay } from '@wax-fist/core/words';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { course, gradeTest, onCourse, plan, trainee } from '../server/db/schema/index.ts';
import { signedIn } from './coach.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

const idOf = async (name: string): Promise<string> => {
  const all = await (await runningClub()).db.select().from(trainee);
  return all.find((one) => one.name.startsWith(name))!.id;
};

describe('the syllabus', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  it('shows what a test asks and its weeks, and is changed by the head coach', async () => {
    await page.goto('/syllabus');
    await page.getByRole('link', { name: /^First course/ }).click();
    await page.getByRole('heading', { name: 'The test asks' }).waitFor();
    await page.getByRole('button', { name: 'Copy' }).click();
    const form = page.getByRole('form', { name: /^Change First course/ });
    await form.getByLabel('Name').first().fill('Summer course');
    await form.getByRole('button', { name: 'A must-have' }).click();
    // The same must-have stands there already: it is said, and nothing typed is lost.
    await form.getByRole('button', { name: 'Save' }).click();
    await form.getByText('This must-have stands there twice.').waitFor();
    await form.getByRole('button', { name: 'Without must-have 4' }).click();
    await form.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('article', { name: 'Summer course' }).waitFor();
    await page.getByRole('button', { name: 'Take away' }).click();
    await page.getByText('Summer course is gone.').waitFor();
    expect((await (await runningClub()).db.select().from(course)).length).to.equal(3);
  });
});

for (const { width, height } of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
]) {
  describe(`a test on the floor, ${width} × ${height}`, function () {
    this.timeout(120_000);
    let page: Page;
    let traineeId: string;
    before(async () => {
      page = await signedIn();
      await page.setViewportSize({ width, height });
      traineeId = await idOf('Idris');
    });
    after(async () => {
      await page.context().close();
      const { db } = await runningClub();
      await db.delete(gradeTest).where(eq(gradeTest.traineeId, traineeId));
    });
    expectNoProblems();

    const placeNow = async () =>
      (await (await runningClub()).db.select().from(onCourse).where(eq(onCourse.traineeId, traineeId)))[0];

    it('says what is there and what is missing, with the earliest day of each', async () => {
      await page.goto(`/trainees/${traineeId}/test`);
      await page.getByText(/\d of 5 things that it asks/).waitFor();
      const rows = page.getByRole('region', { name: 'What the test asks' }).locator('tbody tr');
      await soon(async () => expect(await rows.count()).to.equal(5));
      const credits = rows.last();
      await soon(async () => expect(await credits.innerText()).to.match(/of 12/));
    });

    it('is marked touch by touch, also without a line, and sent once there is one', async () => {
      await page.getByRole('button', { name: 'Hold the test' }).click();
      await page.waitForURL('**/tests/*');
      await page.getByRole('button', { name: 'All in order' }).click();
      await page.getByRole('button', { name: 'Lead hook', exact: true }).click();
      await page.getByText('75% as it should be').waitFor();
      await page.getByRole('button', { name: /^Lead hook/ }).click();
      await page.getByLabel('Said aloud').check();
      await page.getByText('complete and in order, said aloud').waitFor();
      await page.context().setOffline(true);
      const clean = page.getByRole('button', { name: /^Clean \d/ });
      for (let strike = 0; strike < 9; strike++) for (const at of [0, 1, 2]) await clean.nth(at).click();
      await page
        .getByRole('button', { name: /^Fault \d/ })
        .first()
        .click();
      await page.getByText('No line: it is kept here').waitFor();
      await page.context().setOffline(false);
      await page.evaluate(() => window.dispatchEvent(new Event('online')));
      await page.getByText('Everything is sent').waitFor({ state: 'attached' });
      await page.reload();
      await page.getByText('9 of 10 clean, 90%').waitFor();
    });

    it('is ended by the coach, against the sheet with a reason, and can be taken back', async () => {
      const before = await placeNow();
      const passed = page.getByRole('button', { name: 'Passed' });
      await soon(async () => expect(await passed.isDisabled()).to.equal(true));
      await page.getByLabel('What the coach says').fill('Came to every open day besides.');
      await passed.click();
      await page.getByRole('heading', { name: 'Passed' }).waitFor();
      await page.getByText('Everything is sent').waitFor({ state: 'attached' });
      expect((await placeNow())!.courseId).not.to.equal(before!.courseId);
      await page.getByRole('button', { name: 'Still going on' }).click();
      await page.getByText('Everything is sent').waitFor({ state: 'attached' });
      const { revision: _, ...after } = (await placeNow())!;
      const { revision: _before, ...stood } = before!;
      expect(after).to.deep.equal(stood);
    });
  });
}

describe('everybody’s week', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();
  const [monday] = weekOf(dayAfter(localDay(), 7)) as [string];

  it('is planned from the days on which each comes, kept, and taken back at once', async () => {
    const { db } = await runningClub();
    const before = (await db.select().from(plan)).length;
    await page.goto(`/week-plan?week=${monday}`);
    const button = page.getByRole('button', { name: /^Plan \d+ sessions?$/ });
    await button.waitFor();
    const maren = page.getByRole('button', { name: /^Maren Lysvik, Wed/ });
    if ((await maren.getAttribute('aria-pressed')) === 'false') await maren.click();
    await button.click();
    await page.getByRole('button', { name: 'Keep them' }).click();
    await page.waitForURL(/\/floor/);
    const kept = (await db.select().from(plan)).length - before;
    expect(kept).to.be.above(3);
    await page.getByRole('link', { name: 'Maren Lysvik' }).first().waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('Nothing is planned this week.').waitFor();
    expect((await db.select().from(plan)).length).to.equal(before);
  });

  it('has no session on a closed day, and the floor shows why', async () => {
    await page.goto(`/floor?week=${monday}`);
    await page.getByRole('button', { name: 'Closed days' }).click();
    await page.getByText('Close some days').click();
    await page.getByLabel('Why').fill('Hall is painted');
    await page.getByLabel('From').fill(monday);
    await page.getByLabel('To', { exact: true }).fill(dayAfter(monday, 6));
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Hall is painted').first().waitFor();
    await page.goto(`/week-plan?week=${monday}`);
    await page.getByRole('button', { name: /^Plan \d+ sessions?$/ }).click();
    await page.getByText('Nobody trains on that day.').first().waitFor();
    await page.goto(`/floor?week=${monday}`);
    await page.getByRole('button', { name: 'Closed days' }).click();
    await page.getByRole('button', { name: 'Hall is painted: open after all' }).click();
    await page.getByText('Hall is painted: open again.').waitFor();
  });

  it('of two with one holder is planned side by side', async () => {
    const [one, other] = [await idOf('Maren'), await idOf('Juno')];
    await page.evaluate(() =>
      localStorage.setItem(
        'wax.plan-kit',
        JSON.stringify({ kit: ['heavy bag', 'focus mitts'], holder: true, partner: false, minutes: 60 }),
      ),
    );
    await page.goto(`/pair?first=${one}&second=${other}`);
    await page.getByRole('region', { name: 'Maren Lysvik' }).getByText('Warm-up').waitFor();
    const held = await page.locator('[aria-label="held for"]').count();
    expect(held).to.be.above(0);
    await page.getByRole('button', { name: 'Keep both' }).click();
    await page.waitForURL(/\/floor/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('It is back.').waitFor();
  });
});
