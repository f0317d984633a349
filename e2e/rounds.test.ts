import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { addSession, addTrainee, allSaved, press, sendFilm, shownFrame, signedIn } from './coach.ts';
import { filmPath, trueStrikes } from './demo-truth.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

describe('hits, rounds and two views', function () {
  this.timeout(180_000);
  let page: Page;
  let rounds: string;
  const contacts = trueStrikes('maren-first-lead-side').map(({ contact }) => contact);
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  const hits = async (): Promise<number> => Number(await page.locator('.tools .count b').innerText());
  /** Where the playhead is, also while the picture is still on its way. */
  const place = async (): Promise<number> => Number(await page.getByLabel('Place in the film').inputValue());
  const names = (): Promise<string[]> =>
    page.getByLabel(/^Name of/).evaluateAll((all) => all.map((field) => (field as HTMLInputElement).value));
  const kept = (): Promise<void> => page.locator('[data-kept="true"]').waitFor();
  const reopened = async (): Promise<void> => {
    await kept();
    await page.goto(rounds);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
  };

  it('a film comes with its hits found and its round cut', async () => {
    await addTrainee(page, 'Rona Testing');
    await addSession(page);
    await sendFilm(page, filmPath('maren-first-lead-side'));
    await page.getByRole('link', { name: 'Review', exact: true }).waitFor({ timeout: 90_000 });
    await page.getByRole('link', { name: 'Rounds', exact: true }).click();
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    rounds = page.url();
    // It is still being listened to; what is found appears by itself.
    await page.getByLabel('Name of Round 1').waitFor({ timeout: 30_000 });
    await page.getByRole('radio', { name: 'by what moves' }).and(page.locator(':enabled')).waitFor({ timeout: 60_000 });
    await soon(async () => expect(await hits()).to.equal(contacts.length));
    await soon(async () => expect(await names()).to.deep.equal(['Round 1']));
    await page.getByText('proposed', { exact: true }).waitFor();
    await page.getByLabel('What Round 1 says').getByText('per 30 s', { exact: false }).first().waitFor();
  });

  it('keys go from hit to hit, take one out, bring it back, set one and move one', async () => {
    await press(page, 'k');
    await shownFrame(page, contacts[0]!);
    await press(page, 'k');
    await shownFrame(page, contacts[1]!);
    await press(page, 'h');
    await soon(async () => expect(await hits()).to.equal(contacts.length - 1));
    await press(page, 'z');
    await soon(async () => expect(await hits()).to.equal(contacts.length));
    await press(page, 'ArrowRight ArrowRight ArrowRight ArrowRight ArrowRight ArrowRight h');
    await soon(async () => expect(await hits()).to.equal(contacts.length + 1));
    await press(page, 'ArrowRight ArrowRight Shift+H j');
    await shownFrame(page, contacts[1]!);
    await press(page, 'k');
    await shownFrame(page, contacts[1]! + 8);
    await reopened();
    await soon(async () => expect(await hits()).to.equal(contacts.length + 1));
  });

  it('more hits are shown as the slider goes, at once, and undo takes it back in one step', async () => {
    const before = await hits();
    const slider = page.getByLabel('Sensitivity of the hit finder');
    await slider.focus();
    for (let step = 0; step < 5; step++) await page.keyboard.press('PageUp');
    const more = await hits();
    expect(more).to.be.above(before);
    await reopened();
    await soon(async () => expect(await hits()).to.equal(more));
    await slider.fill('0.5');
    await soon(async () => expect(await hits()).to.equal(before));
    await press(page, 'z');
    await soon(async () => expect(await hits()).to.equal(more));
    await press(page, 'Shift+Z');
    await reopened();
    await soon(async () => expect(await hits()).to.equal(before));
  });

  it('a round is cut by key, its edge is dragged and stepped, it is named, and all of it is kept', async () => {
    await press(page, 'k k k k k k k k k k k k x');
    await soon(async () => expect(await names()).to.deep.equal(['Round 1', 'Round 2']));
    const edge = page.getByRole('slider', { name: 'Round 1 ends' });
    const cutAt = Number(await edge.getAttribute('aria-valuenow'));
    const box = (await edge.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + 20);
    await page.mouse.down();
    await page.mouse.move(box.x - 60, box.y + 20, { steps: 6 });
    await page.mouse.up();
    const dragged = Number(await edge.getAttribute('aria-valuenow'));
    expect(dragged).to.be.below(cutAt - 1000);
    await edge.press('ArrowRight');
    expect(Number(await edge.getAttribute('aria-valuenow'))).to.be.closeTo(dragged + 100, 2);
    await edge.press('z');
    expect(Number(await edge.getAttribute('aria-valuenow'))).to.be.closeTo(dragged, 2);
    await page.getByLabel('Name of Round 2').fill('Tired');
    await page.keyboard.press('Enter');
    await page.getByLabel('On what Tired was worked').selectOption('long bag');
    await page.getByLabel('How Tired was worked').selectOption('called');
    await reopened();
    await soon(async () => expect(await names()).to.deep.equal(['Round 1', 'Tired']));
    await soon(async () => expect(await page.getByLabel('On what Tired was worked').inputValue()).to.equal('long bag'));
    expect(Number(await edge.getAttribute('aria-valuenow'))).to.be.closeTo(dragged, 2);
    await soon(async () => expect(await page.getByText('proposed', { exact: true }).count()).to.equal(0));
  });

  it('movement in a part of the picture is found by eye instead, drawn as less sure', async () => {
    await page.getByRole('button', { name: 'Watch only a part of the picture' }).click();
    const picture = (await page.locator('.stage').boundingBox())!;
    await page.mouse.move(picture.x + picture.width * 0.3, picture.y + 10);
    await page.mouse.down();
    await page.mouse.move(picture.x + picture.width * 0.7, picture.y + picture.height - 10, { steps: 4 });
    await page.mouse.up();
    await page.locator('.line .hit.motion').first().waitFor();
    await soon(async () => expect(await hits()).to.be.above(10));
    await reopened();
    await page.locator('.line .hit.motion').first().waitFor();
    await page.getByRole('radio', { name: 'by ear alone' }).check();
    await soon(async () => expect(await hits()).to.equal(contacts.length + 1));
  });

  it('the ribbon of the bench has the rounds one under the other, its hits by key, and a filter by third', async () => {
    await kept();
    await page.getByRole('link', { name: 'Review', exact: true }).click();
    await shownFrame(page, 0);
    const ribbon = page.getByRole('group', { name: 'The round' });
    await ribbon.getByRole('group', { name: 'Round 1' }).waitFor();
    await ribbon.getByRole('group', { name: 'Tired' }).waitFor();
    await press(page, 'k');
    await shownFrame(page, contacts[0]!);
    await press(page, '1 k k');
    await shownFrame(page, contacts[2] === contacts[1]! + 8 ? contacts[2] : contacts[1]! + 8);
    await press(page, 'k 2');
    await page.getByLabel('Only this technique').selectOption('cross');
    await soon(async () => expect(await ribbon.locator('.mark.dim').count()).to.equal(1));
    await press(page, 'ArrowUp');
    await page.getByRole('heading', { name: '2 Cross' }).waitFor();
    await page.getByLabel('Only this technique').selectOption('');
    await page.getByLabel('Only this third of the round').selectOption('last');
    await soon(async () => expect(await ribbon.locator('.mark.dim').count()).to.equal(2));
    await page.getByRole('button', { name: 'Show all' }).click();
    await soon(async () => expect(await ribbon.locator('.mark.dim').count()).to.equal(0));
    await allSaved(page);
  });

  it('another film of the round is put on the same clock by its sound, and shown beside, instead, and not', async () => {
    await page
      .getByRole('link', { name: 'Rona Testing' })
      .or(page.getByRole('link', { name: /session/i }))
      .first()
      .click();
    await page.waitForURL(/\/sessions\//);
    await page.locator('input[type=file]').setInputFiles(filmPath('maren-first-front'));
    await page.getByRole('button', { name: 'Send all the same' }).click();
    await page.getByText('maren-first-front.mp4').waitFor();
    const first = page.locator('.film', { hasText: 'maren-first-lead-side' });
    await page.locator('.film[data-state="ready"]').nth(1).waitFor({ timeout: 90_000 });
    expect(
      await page.getByLabel(/^From where/).evaluateAll((all) => all.map((field) => (field as HTMLSelectElement).value)),
    ).to.deep.equal(['lead-side', 'front']);
    await first.getByRole('link', { name: /Review|Go on/ }).click();
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    const other = page.getByRole('group', { name: 'The other view' });
    // Both were filmed from the same first instant, one at 60 frames a second, the other at 30; of two as near either will do.
    const otherAt = (mine: number, more = 0): Promise<void> =>
      other
        .locator([Math.floor(mine / 2), Math.ceil(mine / 2)].map((nearest) => `canvas[data-frame="${nearest + more}"]`).join())
        .waitFor();
    await page.keyboard.press('k');
    const at = await place();
    await press(page, 'v');
    await other.getByText('on one clock by sound').waitFor({ timeout: 90_000 });
    await otherAt(at);
    await press(page, 'k k');
    expect(await place()).to.be.above(at);
    await otherAt(await place());
    await press(page, 'Alt+ArrowRight');
    await other.getByText('on one clock by hand').waitFor();
    await otherAt(await place(), 1);
    await other.getByRole('button', { name: 'listen instead' }).click();
    // The worker may have the other film in hand.
    await other.getByText('on one clock by sound').waitFor({ timeout: 90_000 });
    await press(page, 'ArrowUp');
    await page.getByRole('heading', { name: '1 Jab' }).waitFor();
    await page.getByLabel('The walk').getByText('Answered from the front').waitFor();
    await press(page, 'v');
    await page.locator('.frame.instead').waitFor();
    await press(page, 'v');
    await other.waitFor({ state: 'detached' });
  });
});
