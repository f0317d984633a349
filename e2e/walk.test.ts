import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { addSession, addTrainee, allSaved, dayBefore, filmOnBench, goTo, press, shownFrame, signedIn } from './coach.ts';
import { filmPath, trueStrikes } from './demo-truth.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

/** A coach who has never seen the product: two filmed rounds, a week apart, and one correction from the first to the second. */
describe('from a film to a correction, and to its answer in the next session', function () {
  this.timeout(240_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  /** Tags the first jabs of a film at their contacts and judges their return: fault where the truth says so. */
  async function mark(film: string, count: number): Promise<number> {
    const jabs = trueStrikes(film)
      .filter(({ technique }) => technique === 'jab')
      .slice(0, count);
    for (const { contact, faults } of jabs) {
      await goTo(page, contact);
      await press(page, '1');
      await page.locator('[data-row="gd.return-line"]').click();
      await press(page, faults.includes('gd.return-line') ? 'd' : 'a');
    }
    await allSaved(page);
    return jabs.filter(({ faults }) => faults.includes('gd.return-line')).length;
  }
  /** What the walk says without a strike depends on whether the film has been listened to already. */
  const noStrike = (): Promise<void> => page.getByRole('heading', { name: /Find the first strike|Name the hits/ }).waitFor();
  let faultsFirst = 0;
  let faultsSecond = 0;

  it('the first film comes in, with its progress on show', async () => {
    await addTrainee(page, 'Wilma Testing');
    await page.getByText('Not filmed yet').waitFor();
    await addSession(page, dayBefore(8));
    await page.getByText('Nothing is judged yet').waitFor();
    await page.locator('input[type=file]').setInputFiles(filmPath('maren-first-lead-side'));
    // The demo club has this film; here it is another trainee's.
    await page.getByText('This film is here already').waitFor();
    await page.getByRole('button', { name: 'Send all the same' }).click();
    await page.getByText('making the review copy').waitFor();
    await page.getByRole('link', { name: 'Review', exact: true }).click({ timeout: 90_000 });
    await noStrike();
  });

  it('strikes are tagged with one key, with sensible moments, and stepped into place', async () => {
    const [first] = trueStrikes('maren-first-lead-side');
    await goTo(page, first!.contact);
    await press(page, '1');
    await page.getByRole('heading', { name: '1 Jab' }).waitFor();
    const launch = page.locator('.phases canvas').nth(1);
    const launched = async (frame: number): Promise<void> => launch.and(page.locator(`[data-frame="${frame}"]`)).waitFor();
    await launch.and(page.locator(':not([data-frame="-1"])')).waitFor();
    const guessed = Number(await launch.getAttribute('data-frame'));
    expect(Math.abs(guessed - first!.launch)).to.be.below(6);
    await press(page, 'u');
    await shownFrame(page, guessed);
    await press(page, 'ArrowRight ArrowRight');
    await shownFrame(page, guessed + 2);
    await press(page, 'Shift+U');
    await launched(guessed + 2);
    await page.getByRole('button', { name: 'Launch one frame later' }).click();
    await launched(guessed + 3);
    await press(page, 'z z');
    await launched(guessed);
    await press(page, 'Delete');
    await noStrike();
    await press(page, 'z');
    await page.getByRole('heading', { name: '1 Jab' }).waitFor();
    await press(page, 'Delete');
  });

  it('faults are counted on the way, and a correction is opened from its row', async () => {
    faultsFirst = await mark('maren-first-lead-side', 14);
    await page.getByRole('button', { name: 'Round done' }).click();
    await page.waitForURL(/\/sessions\/.*#said/);
    const row = page.locator('tr', { hasText: 'Return line' });
    await row.getByText(`${faultsFirst} of 14`).waitFor();
    await row.getByText('first time at this rung').waitFor();
    await row.getByRole('button', { name: 'Open a correction' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Open the correction' }).click();
    await row.getByText('open: “Touch home”').waitFor();
    await page.getByText('Opened here; the next session at this rung answers.').waitFor();
  });

  it('the next session shows it in the walk and in the tally', async () => {
    await page.getByRole('link', { name: 'Wilma Testing' }).first().click();
    await addSession(page, dayBefore(1));
    await filmOnBench(page, filmPath('maren-second-lead-side'));
    await page.getByLabel('Open corrections on this film').getByText('Touch home').waitFor();
    await page.getByText(`before: ${faultsFirst} of 14`).waitFor();
    faultsSecond = await mark('maren-second-lead-side', 14);
    await page.getByLabel('Open corrections on this film').getByText(`${faultsSecond} of 14`, { exact: true }).waitFor();
  });

  it('and says at the end: better, with the numbers', async () => {
    await press(page, 'Control+Enter');
    await page.waitForURL(/\/sessions\/.*#said/);
    const answer = page.locator('article.answer');
    await answer.locator('[data-change="better"]').waitFor();
    await soon(async () =>
      expect(await answer.innerText())
        .to.include(`Seen today: ${faultsSecond} of 14`)
        .and.match(/now \d+% are faults, \d+% when it was opened/),
    );
    await answer.getByRole('button', { name: 'Note this re-check' }).click();
    await answer.getByText('noted', { exact: true }).waitFor();
  });

  it('the trainee’s page tells the levels over sessions and the history', async () => {
    await page.getByRole('link', { name: 'Wilma Testing' }).first().click();
    const history = page.getByRole('list', { name: 'History' });
    await history.getByText('Re-checked').waitFor();
    await soon(async () => expect(await history.innerText()).to.match(/Opened[^]*Re-checked[^]*Better/));
    const chart = page.locator('.chart[aria-label], .chart [aria-label]').first();
    await soon(async () =>
      expect(await chart.getAttribute('aria-label'))
        .to.include(`${faultsFirst} of 14`)
        .and.include(`${faultsSecond} of 14`),
    );
  });

  it('the card has one cue, a fault and a clean strike, the rate and the day of the re-check', async () => {
    await page.getByRole('link', { name: 'Card' }).click();
    await page.locator('.card').getByText('Touch home').waitFor();
    await page.getByText('Not like this').waitFor();
    await page.getByText('Like this', { exact: true }).waitFor();
    await page.waitForFunction(() => {
      const pictures = [...document.querySelectorAll<HTMLImageElement>('.card img')];
      return pictures.length === 3 && pictures.every(({ naturalWidth }) => naturalWidth > 300);
    });
    const card = await page.locator('.card').innerText();
    expect(card)
      .to.include(`${faultsSecond} of 14`)
      .and.include('15%')
      .and.match(/We look again\s+\d+ \w+ \d+/);
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).to.have.length(1);
  });

  it('the coach steps a still by a frame, and makes a link that opens the card for the trainee', async () => {
    const turns = page.locator('figure.turns');
    await turns.getByRole('button', { name: 'A frame on' }).click();
    await turns.getByText('set by you').waitFor();
    await page.getByRole('button', { name: 'Link for the trainee' }).click();
    const address = await page.locator('.link a').innerText();
    const stranger = await (await page.context().browser()!.newContext()).newPage();
    await stranger.goto(address);
    await stranger.locator('.card').getByText('Touch home').waitFor();
    await soon(async () => expect(await stranger.locator('.card img').count()).to.equal(3));
    await soon(async () => expect(await stranger.getByRole('button').count()).to.equal(0));
    await page.getByRole('button', { name: 'Withdraw' }).click();
    await page.getByRole('button', { name: 'Link for the trainee' }).waitFor();
    await stranger.reload();
    await stranger.locator('.card').waitFor({ state: 'detached' });
    await stranger.context().close();
  });

  it('the session and the weeks have reports, with what is being worked on', async () => {
    await page.goBack();
    await page.getByRole('link', { name: 'Report' }).click();
    await page.locator('.report').getByText('“Touch home”').first().waitFor();
    const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'PDF' }).click()]);
    expect(pdf.suggestedFilename()).to.match(/^Block report, Wilma Testing, .*\.pdf$/);
    await page.goBack();
    await page.locator('.session').first().click();
    await page.getByRole('link', { name: 'Report' }).click();
    await page.locator('.report').getByText('What it answers').waitFor();
    await page.goBack();
  });

  it('a link to a strike opens the bench at its frame', async () => {
    await page.getByRole('link', { name: /Look again/ }).click();
    await page.waitForURL(/\/review\/[^/]+\/[^/]+/);
    const contact = trueStrikes('maren-second-lead-side').filter(({ technique }) => technique === 'jab')[2]!.contact;
    await press(page, 'ArrowDown ArrowDown');
    await shownFrame(page, contact);
    await page.reload();
    await shownFrame(page, contact);
  });
});
