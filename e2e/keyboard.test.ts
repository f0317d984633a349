import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { correction, film } from '../server/db/schema/index.ts';
import { allSaved, press } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { coachEmail, expectNoProblems, password, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** What has the focus, as it is read out: its label, or what stands on it. */
const inFocus = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const element = document.activeElement as HTMLElement | null;
    if (!element || element === document.body) return '';
    const label = element.id ? document.querySelector(`label[for="${CSS.escape(element.id)}"]`)?.textContent : undefined;
    return (element.getAttribute('aria-label') ?? label ?? element.textContent).trim().replace(/\s+/g, ' ');
  });

/** Presses Tab until something is in focus. @throws Error with all that was met on the way */
async function tabTo(page: Page, wanted: RegExp, most = 150): Promise<void> {
  const met: string[] = [];
  for (let presses = 0; presses < most; presses++) {
    await page.keyboard.press('Tab');
    const name = await inFocus(page);
    if (wanted.test(name)) return;
    met.push(name);
  }
  throw new Error(`${wanted} was not met by Tab; there were: ${met.join(' | ')}`);
}

describe('a whole review by keyboard alone', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => (page = await (await runningClub()).page()));
  after(() => page.context().close());
  expectNoProblems();

  it('goes from signing in to the day’s first film', async () => {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail').waitFor();
    if (!(await inFocus(page)).includes('E-mail')) await tabTo(page, /E-mail/);
    await page.keyboard.type(coachEmail);
    await tabTo(page, /^Password/);
    await page.keyboard.type(password);
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Review', exact: true }).first().waitFor();
    await tabTo(page, /^Review$/);
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/review\//);
  });

  it('through its strikes, each judged, to the session', async () => {
    const filmId = await demoFilmId('oona-3-quarter');
    await page.goto(`/review/${filmId}`);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    await press(page, 'n');
    await page.getByLabel('The walk').getByRole('heading').waitFor();
    await press(page, 'd r r d r r');
    await allSaved(page);
    await press(page, 'Control+Enter');
    await page.waitForURL(/\/sessions\//);
    await soon(async () => {
      const [row] = await (await runningClub()).db.select({ done: film.done }).from(film).where(eq(film.id, filmId));
      expect(row!.done).to.equal(true);
    });
  });

  it('to a correction with its cue', async () => {
    await page.getByRole('button', { name: 'Open a correction' }).first().waitFor();
    await tabTo(page, /^Open a correction$/);
    await page.keyboard.press('Enter');
    await page.getByRole('dialog').waitFor();
    await soon(async () => expect(await inFocus(page)).to.not.equal('Open a correction'));
    if (!(await inFocus(page)).startsWith('Cue')) await tabTo(page, /^Cue/, 20);
    await page.keyboard.press('Control+a');
    await page.keyboard.type('Chin behind the shoulder');
    await tabTo(page, /^Open the correction$/, 20);
    await page.keyboard.press('Enter');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    const { db } = await runningClub();
    expect(await db.select().from(correction).where(eq(correction.cue, 'Chin behind the shoulder'))).to.have.length(1);
  });

  it('and everywhere shows where one is', async () => {
    // Whatever has the focus is framed: no sign of it was taken off.
    for (let presses = 0; presses < 25; presses++) {
      await page.keyboard.press('Tab');
      const told = await page.evaluate(() => {
        const element = document.activeElement as HTMLElement;
        const framed = [element, element.closest('.v-field, .v-selection-control, label') ?? element].some((one) => {
          const { outlineStyle, boxShadow } = getComputedStyle(one);
          return outlineStyle !== 'none' || boxShadow !== 'none' || one.classList.contains('v-field--focused');
        });
        return { what: element.outerHTML.slice(0, 160), framed };
      });
      expect(told.framed, told.what).to.equal(true);
    }
  });
});
