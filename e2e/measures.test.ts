import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { allSaved, press, signedIn } from './coach.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

/** From the page of a session to what was measured of its strikes, to one of them, and to a measure that counts by itself. */
describe('measures of a session', function () {
  this.timeout(240_000);
  let page: Page;
  let session: string;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  const leaning = () => page.locator('tr', { hasText: 'Hips under shoulders' }).first();

  it('stand beside what the coach has said', async () => {
    await page.goto('/trainees');
    await page.getByRole('link', { name: 'Maren Lysvik' }).click();
    await page.locator('.session').first().click();
    await leaning()
      .getByText(/measured: 0 of 26/)
      .waitFor();
    session = page.url();
  });

  it('make a sheet whose marks lead to their strikes, by the keyboard as well', async () => {
    await page.getByRole('link', { name: 'Sheet of strikes' }).click();
    await page.locator('.sheet canvas').waitFor();
    const rows = page.locator('.names li');
    const [byFaults] = await rows.allTextContents();
    await page.getByLabel('In order').selectOption('walk');
    await page.waitForURL(/order=walk/);
    expect((await rows.allTextContents())[0]).to.not.equal(byFaults);
    await page.getByRole('button', { name: /Cross/ }).click();
    await page.waitForURL(/technique=cross/);
    const far = page.locator('.far a').first();
    const strike = (await far.getAttribute('href'))!.split('/').at(-1)!;
    await far.focus();
    await press(page, 'Enter');
    await page.waitForURL(`**/${strike}`);
    await page.getByLabel('The walk').getByRole('heading', { name: /Cross/ }).waitFor();
  });

  it('change when a point is put right by hand, go back when that is undone, and keep it', async () => {
    const bench = page.url();
    const rowOnShow = async (): Promise<Locator> => {
      await page.getByLabel('The walk').getByRole('heading', { name: /Cross/ }).waitFor();
      await press(page, 'x');
      await page.locator('[data-row="st.lean"]').click();
      return page.getByLabel('The walk').getByText(/±/).first();
    };
    const told = await rowOnShow();
    const found = (await told.textContent())!;
    await press(page, 'l');
    const bar = page.getByRole('region', { name: 'Points by hand' });
    await bar.getByText('as found').waitFor();
    await press(page, 'Shift+ArrowLeft Shift+ArrowLeft Shift+ArrowLeft');
    await bar.getByText('put right by hand').waitFor();
    await page.getByText(found, { exact: true }).waitFor({ state: 'detached' });
    const pinned = (await told.textContent())!;
    await press(page, 'z z z');
    await page.getByText(found, { exact: true }).waitFor();
    await press(page, 'Shift+z Shift+z Shift+z');
    await page.getByText(pinned, { exact: true }).waitFor();
    await allSaved(page);
    await page.goto('/');
    await page.goto(bench);
    await (await rowOnShow()).and(page.getByText(pinned, { exact: true })).waitFor();
  });

  it('count where nobody has judged once the head coach says so, and no longer when they take it back', async () => {
    await page.goto('/checklists');
    await page.getByRole('link', { name: 'Measures', exact: true }).click();
    await page.getByText('still to be measured').waitFor({ state: 'detached', timeout: 150_000 });
    const weight = page.getByLabel('Hips under shoulders counts by itself');
    await weight.press('Space');
    await page.getByText('Hips under shoulders counts by itself now').waitFor();
    await soon(async () => expect(await weight.isChecked()).to.equal(true));
    await page.goto(session);
    await leaning()
      .getByText(/; counts/)
      .waitFor();
    await page.goto('/measures');
    await weight.press('Space');
    await page.getByText('counts only when a coach has judged').waitFor();
    await soon(async () => expect(await weight.isChecked()).to.equal(false));
  });
});
