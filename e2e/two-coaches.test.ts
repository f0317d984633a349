import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { eq } from 'drizzle-orm';
import { account, film as filmTable } from '../server/db/schema/index.ts';
import { writeMarks } from '../server/features/review/write-marks.ts';
import { observed, thrown } from '../server/test/marks.ts';
import { addScene } from '../server/test/server-under-test.ts';
import { eventually } from '../server/test/eventually.ts';
import { v7 as uuid } from 'uuid';
import { allSaved, dayBefore, press, signedIn, signedInAs } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { coachEmail, expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

const film = 'juno-4-lead-side';
const asked = 'Other hand home';

/** One film, two coaches who do not see what the other says, and what it shows of the words they go by. */
describe('two coaches', function () {
  this.timeout(120_000);
  let ragna: Page;
  let bram: Page;
  let filmId: string;
  let sessionId: string;
  before(async () => {
    ragna = await signedIn();
    bram = await signedInAs('bram@boathouse.example');
    filmId = await demoFilmId(film);
    const { db } = await runningClub();
    const [row] = await db.select({ sessionId: filmTable.sessionId }).from(filmTable).where(eq(filmTable.id, filmId));
    sessionId = row!.sessionId;
  });
  after(async () => {
    await ragna.context().close();
    await bram.context().close();
  });
  expectNoProblems();

  const words = (page: Page) => page.locator('[data-row] svg.verdict:not(.none)');

  it('one asks the other to mark a film as well', async () => {
    await ragna.goto(`/sessions/${sessionId}`);
    await ragna.getByRole('button', { name: `Have ${film}.mp4 marked a second time` }).click();
    const dialog = ragna.getByRole('dialog');
    await dialog.getByText('Bram Tollund').waitFor();
    await dialog.getByRole('button', { name: 'Ask' }).click();
    await ragna.getByText('Bram Tollund is asked to mark it as well').waitFor();
  });

  it('who sees no verdict there, neither the other’s nor a measure’s, and cannot change a strike', async () => {
    await bram.goto('/');
    await bram.getByRole('heading', { name: 'Asked of you' }).waitFor();
    await bram.getByRole('link', { name: 'Mark it' }).click();
    await bram.getByText('Second marking: what was said is hidden').waitFor();
    await bram.getByLabel('The walk').getByRole('heading').waitFor();
    await bram.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    await bram.locator('[data-row]').first().waitFor();
    await soon(async () => expect(await words(bram).count()).to.equal(0));
    const strikes = await bram.locator('.which').innerText();
    await press(bram, 'Delete');
    await bram.getByText('Strikes stay as they are').waitFor();
    await soon(async () => expect(await bram.locator('.which').innerText()).to.equal(strikes));
  });

  it('and says what they see, strike by strike, with the same keys', async () => {
    const strikes = Number(/of\s+(\d+)/.exec(await bram.locator('.which').innerText())![1]);
    for (let strike = 0; strike < strikes; strike++) await press(bram, strike % 2 === 0 ? 'd r' : 'r');
    await allSaved(bram);
    // Nothing of it counts.
    await ragna.goto(`/sessions/${sessionId}#said`);
    await ragna.getByText('Seen today: 10 of 12').waitFor();
    await bram.getByRole('button', { name: 'All said' }).click();
    await bram.waitForURL('/reviewing');
  });

  it('what they read alike and what not is told row by row, down to the strike', async () => {
    await ragna.goto('/reviewing');
    const rows = ragna.locator('tbody', { hasText: asked });
    await rows.first().waitFor();
    await soon(async () =>
      expect(await rows.first().innerText()).to.match(/\d+%[^]*most often fault against clean|\d+%[^]*unclear|\d+%/),
    );
    await rows
      .first()
      .getByRole('button', { name: /Look at/ })
      .click();
    await rows.first().getByRole('link', { name: /Juno/ }).first().click();
    await ragna.waitForURL(new RegExp(`/review/${filmId}/`));
  });

  it('and the work of it was counted', async () => {
    // What was done at the bench is told when one leaves it.
    const weeks = await eventually(
      'the work is told',
      async () => (await bram.request.get('/api/effort')).json() as Promise<{ presses: number; worked: number }[]>,
      (all) => all.at(-1)!.presses > 20,
    );
    expect(weeks.at(-1)!.worked).to.be.above(0);
  });
});

describe('what first, against the sum', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => {
    page = await signedIn();
  });
  after(() => page.context().close());
  expectNoProblems();

  it('is dragged with a reason, stands for everybody, and goes back to the sum', async () => {
    const { db } = await runningClub();
    const scene = await addScene({ services: { db } }, dayBefore(1), 3);
    const marks = Array.from({ length: 24 }, (_, strike) => {
      const strikeId = uuid();
      const moments = { launchFrame: strike * 10, contactFrame: strike * 10 + 4, homeFrame: strike * 10 + 9 };
      const verdict = (every: number) => (strike % every === 0 ? 'clean' : 'fault');
      const judged = [observed(strikeId, verdict(2)), observed(strikeId, verdict(3), { checkpointId: 'st.heels' })];
      return [thrown(strikeId, moments), ...judged];
    }).flat();
    const [coach] = await db.select({ id: account.id }).from(account).where(eq(account.email, coachEmail));
    await writeMarks(db, scene.filmId, marks, coach!.id);
    await page.goto(`/sessions/${scene.sessionId}#said`);
    const first = page.getByRole('region', { name: 'What to mend first' });
    const names = () => first.locator('li b').allInnerTexts();
    await first.locator('li').nth(1).waitFor();
    const bySum = await names();
    await first.locator('.grip').nth(1).press('ArrowUp');
    const turned = await eventually('they changed places', names, (now) => now[0] === bySum[1]);
    await first.getByRole('button', { name: 'Keep this order' }).click();
    await first.getByText('Say in a few words why').waitFor();
    await first.getByLabel('Why this order').fill('The feet come first at the skills day.');
    await first.getByRole('button', { name: 'Keep this order' }).click();
    await page.reload();
    await first.getByText('The feet come first at the skills day.').waitFor();
    await soon(async () => expect(await names()).to.deep.equal(turned));
    await first.getByRole('button', { name: 'Back to the sum' }).click();
    await eventually('the sum tells', names, (now) => now[0] === bySum[0]);
  });
});
