import { expect } from 'chai';
import { and, eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { observation, signIn, strike } from '../server/db/schema/index.ts';
import { allSaved, press, signedIn, throughTheDoor } from './coach.ts';
import { demoFilmId, trueStrikes } from './demo-truth.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

const film = 'maren-second-front';

describe('marking', function () {
  this.timeout(120_000);
  let page: Page;
  let filmId: string;
  before(async () => {
    page = await signedIn();
    filmId = await demoFilmId(film);
  });
  after(() => page.context().close());
  expectNoProblems();

  const open = async (on = page): Promise<void> => {
    await on.goto(`/review/${filmId}`);
    await on.getByLabel('The walk').getByRole('heading').waitFor();
    await on.locator('.stage canvas:not([data-frame="-1"])').waitFor();
  };
  const counting = async () => {
    const { db } = await runningClub();
    return db
      .select({
        checkpointId: observation.checkpointId,
        verdict: observation.verdict,
        note: observation.note,
        strikeId: strike.id,
        contact: strike.contactFrame,
        superseded: observation.superseded,
      })
      .from(observation)
      .innerJoin(strike, and(eq(strike.id, observation.strikeId), eq(strike.filmId, filmId)));
  };
  const standing = async () => (await counting()).filter(({ superseded, verdict }) => !superseded && verdict);
  const rows = () => page.locator('[data-row]').evaluateAll((all) => all.map((row) => (row as HTMLElement).dataset.row!));

  it('a whole round takes at most six keys a strike', async () => {
    await open();
    const truth = trueStrikes(film);
    let keys = 0;
    for (const { faults } of truth) {
      const walk = await rows();
      const judgements = walk.map((id) => (faults.includes(id) ? 'd' : 'a'));
      const last = judgements.lastIndexOf('d');
      // A coach says what is wrong, row by row, and that the rest is clean.
      keys += await press(page, [...judgements.slice(0, last + 1), 'r'].join(' '));
    }
    await allSaved(page);
    expect(keys / truth.length).to.be.at.most(6);
    const said = await standing();
    const faulty = said.filter(({ verdict }) => verdict === 'fault');
    const walk = new Set(await rows());
    expect(faulty).to.have.length(truth.flatMap(({ faults }) => faults.filter((id) => walk.has(id))).length);
    expect(said).to.have.length(truth.length * walk.size);
  });

  it('undo and redo go through everything, across strikes', async () => {
    await open();
    const before = await standing();
    await press(page, 'ArrowDown f ArrowDown d r z z z');
    await allSaved(page);
    const state = (list: typeof before): string[] =>
      list.map((row) => `${row.strikeId} ${row.checkpointId} ${row.verdict}`).sort();
    expect(state(await standing())).to.deep.equal(state(before));
    await press(page, 'Shift+Z Shift+Z');
    await allSaved(page);
    expect((await standing()).filter(({ verdict }) => verdict === 'cant-see')).to.have.length(1);
    await press(page, 'z z');
    await allSaved(page);
    expect(state(await standing())).to.deep.equal(state(before));
  });

  it('a note is kept with its verdict', async () => {
    await open();
    await press(page, 'd q e');
    await page.getByLabel('Note on this row').fill('low as the belt');
    await press(page, 'Enter');
    await page.getByText('low as the belt').waitFor();
    await allSaved(page);
    expect((await standing()).filter(({ note }) => note).map(({ verdict, note }) => [verdict, note])).to.deep.equal([
      ['fault', 'low as the belt'],
    ]);
  });

  it('the body is drawn over the picture, with what the row in hand is read from, and its number with a doubt', async () => {
    // Asked for before its points are here, as on a slow line, it comes with them.
    let comes = (): void => undefined;
    const line = new Promise<void>((resolve) => (comes = resolve));
    const points = /\/points$/;
    await page.route(points, (route) => line.then(() => route.continue()));
    await page.goto(`/review/${await demoFilmId('maren-second-lead-side')}`);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    await press(page, 'x y');
    await page.getByText('It is drawn as soon as it is here').waitFor();
    comes();
    await page.unroute(points);
    const body = page.locator('svg[data-body]');
    await body.locator('line').first().waitFor({ state: 'attached' });
    await page.locator('[data-row="st.lean"]').click();
    await page.getByText(/\d° ± \d+°/).waitFor();
    await soon(async () => expect(await body.locator('circle.about').count()).to.equal(4));
    // The points lie on the picture: the middle of the drawn hips is inside of it.
    const box = await page.locator('.stage canvas').boundingBox();
    const dot = await body.locator('circle.about').first().boundingBox();
    expect(dot!.x).to.be.within(box!.x, box!.x + box!.width);
    expect(dot!.y).to.be.within(box!.y, box!.y + box!.height);
    await press(page, 'y');
    await body.waitFor({ state: 'detached' });
    await press(page, 'x');
  });

  it('marks made while the server is away wait in the browser and arrive once', async () => {
    const club = await runningClub();
    await open();
    const before = (await counting()).length;
    const waiting = 5;
    await club.whileServerIsAway(async () => {
      await press(page, 'd a ArrowDown d z a');
      await page.getByText(`${waiting} marks wait here for the server`).waitFor();
      expect((await counting()).length).to.equal(before);
    });
    await allSaved(page);
    expect((await counting()).length).to.equal(before + waiting);
    await page.reload();
    await allSaved(page);
    expect((await counting()).length).to.equal(before + waiting);
  });

  it('marks that waited are sent by the next page that is opened', async () => {
    const club = await runningClub();
    await open();
    const before = (await counting()).length;
    await page.route('**/marks', (route) => route.abort());
    await press(page, 'f');
    await page.getByText(/1 marks? waits? here/).waitFor();
    await page.unroute('**/marks');
    const next = await page.context().newPage();
    await next.goto(`${club.base}/`);
    await next.locator('[data-state="saved"]').waitFor();
    expect((await counting()).length).to.equal(before + 1);
    await next.close();
    await allSaved(page);
  });

  it('a coach whom the server has forgotten signs in again, is back at the strike, and nothing is lost', async () => {
    const club = await runningClub();
    await open();
    const before = (await counting()).length;
    await club.db.delete(signIn);
    await press(page, 'ArrowDown ArrowDown s');
    await page.waitForURL(({ pathname }) => pathname === '/sign-in');
    await throughTheDoor(page);
    await page.waitForURL(({ pathname }) => pathname.startsWith('/review/'));
    await allSaved(page);
    expect((await counting()).length).to.equal(before + 1);
  });

  it('of two tabs on the same strike the later word is shown in both, and both are kept', async () => {
    await open();
    const other = await page.context().newPage();
    await open(other);
    const before = (await counting()).length;
    const sign = (on: Page) => on.locator('[data-row]').first().locator('.verdict').getAttribute('aria-label');
    await page.locator('[data-row]').first().click();
    await press(page, 's');
    await allSaved(page);
    await other.locator('[data-row]').first().click();
    await press(other, 'd');
    await other.locator('[data-state="saved"]').waitFor();
    await page.evaluate(() => window.dispatchEvent(new Event('focus')));
    await page.locator('[data-row] .verdict[aria-label="Fault"]').first().waitFor();
    expect([await sign(page), await sign(other)]).to.deep.equal(['Fault', 'Fault']);
    expect((await counting()).length).to.equal(before + 2);
    await other.close();
  });

  it('a key can be changed, and stays changed', async () => {
    await open();
    await press(page, '?');
    await page.getByRole('button', { name: 'S change the key for Watch' }).click();
    await press(page, 'g');
    await page.getByRole('button', { name: 'Back to work' }).click();
    await page.reload();
    await page.getByLabel('The walk').getByRole('heading').waitFor();
    await page.locator('[data-row]').first().click();
    await press(page, 'g');
    await page.locator('[data-row] .verdict[aria-label="Watch"]').first().waitFor();
    await allSaved(page);
  });
});
