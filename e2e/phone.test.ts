import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { correction, course, gradeTest, trainee } from '../server/db/schema/index.ts';
import { pressOnBody, signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { accessible, looked } from './looked.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** Everything but the bench and editors, which need a table to put hands on. */
const addresses: [what: string, address: () => Promise<string>][] = [
  ['today', () => Promise.resolve('/')],
  ['trainees', () => Promise.resolve('/trainees')],
  ['reports of a class', () => Promise.resolve('/reports')],
  ['a trainee', async () => `/trainees/${(await someone()).id}`],
  ['a session', sessionOfMaren],
  ['a card', async () => `/corrections/${(await (await runningClub()).db.select().from(correction).limit(1))[0]!.id}/card`],
  ['a session report', async () => `${await sessionOfMaren()}/report`],
  ['a block report', async () => `/trainees/${(await someone()).id}/report?from=2020-01-01&to=2030-01-01`],
  ['a montage', async () => `${await sessionOfMaren()}/montage?technique=jab&checkpoint=gd.return-line&which=clean`],
  ['filming', async () => `${await sessionOfMaren()}/film`],
  ['corrections', () => Promise.resolve('/corrections?list=open')],
  ['archives', () => Promise.resolve('/archives')],
  ['marks made elsewhere', async () => `/films/${await demoFilmId('maren-second-lead-side')}/marks`],
  ['how we review', () => Promise.resolve('/reviewing')],
  ['checklists', () => Promise.resolve('/checklists')],
  ['a technique', () => Promise.resolve('/checklists/jab')],
  ['schools', () => Promise.resolve('/schools')],
  ['call books', () => Promise.resolve('/call-books')],
  ['the floor', () => Promise.resolve('/floor')],
  ['drills', () => Promise.resolve('/drills?drill=touch-home')],
  ['set-up, bags', () => Promise.resolve('/set-up')],
  ['set-up, floor', () => Promise.resolve('/set-up?sheet=floor')],
  ['set-up, camera', () => Promise.resolve('/set-up?sheet=camera')],
  ['set-up, rounds', () => Promise.resolve('/set-up?sheet=rounds')],
  ['set-up, pads', () => Promise.resolve('/set-up?sheet=pads')],
  ['stations', () => Promise.resolve('/stations')],
  ['what was removed', () => Promise.resolve('/removed')],
  ['people', () => Promise.resolve('/people')],
  ['the journal', () => Promise.resolve('/journal')],
  ['measures', () => Promise.resolve('/measures')],
  ['points checked', () => Promise.resolve('/measures/points')],
  ['a point to check', () => Promise.resolve('/measures/points/check')],
  ['names found', () => Promise.resolve('/measures/names')],
  ['habits', async () => `/trainees/${(await someone()).id}/habits`],
  ['the syllabus', () => Promise.resolve('/syllabus')],
  ['the way to a test', async () => `/trainees/${(await someone()).id}/test`],
  ['a test', testOfMaren],
  ['everybody’s week', () => Promise.resolve('/week-plan')],
  ['two with one holder', async () => `/pair?first=${(await someone()).id}`],
  ['a plan', async () => `/trainees/${(await someone()).id}/plan`],
  ['nowhere', () => Promise.resolve('/no/such/page')],
];
async function someone() {
  const all = await (await runningClub()).db.select().from(trainee);
  return all.find(({ name }) => name.startsWith('Maren'))!;
}
async function testOfMaren(): Promise<string> {
  const { db } = await runningClub();
  const [known] = await db.select().from(gradeTest);
  if (known) return `/tests/${known.id}`;
  const [first] = await db.select().from(course);
  const { says, ...rest } = first!;
  const id = uuid();
  await db.insert(gradeTest).values({
    ...{ id, traineeId: (await someone()).id, heldOn: '2026-03-01', outcome: 'open', course: { ...rest, ...says } },
    sheet: { sets: [{ setId: says.sets[0]!.id, lead: 'usual', thrown: ['jab', 'cross'], saidAloud: false }], mustHaves: [] },
  });
  return `/tests/${id}`;
}
async function sessionOfMaren(): Promise<string> {
  const { db } = await runningClub();
  const id = await demoFilmId('maren-second-lead-side');
  const film = (await db.query.film.findMany()).find((one) => one.id === id)!;
  return `/sessions/${film.sessionId}`;
}

const settled = async (page: Page, address: string): Promise<void> => {
  await page.goto(address);
  await page.locator('main h1, .floor h1, .cue').first().waitFor();
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
};

describe('in the hand', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  for (const [what, address] of addresses) {
    it(`${what}: nothing is wider than a phone of 360 pixels, every control fits a thumb, and anybody can use it`, async () => {
      await page.setViewportSize({ width: 360, height: 740 });
      await settled(page, await address());
      expect(await looked(page, 44)).to.deep.equal({ wider: 0, wide: [], small: [] });
      await accessible(page, what);
    });

    it(`${what}: enlarged four times, it is read from above to below`, async () => {
      await page.setViewportSize({ width: 320, height: 256 });
      await soon(async () => {
        const { wider, wide } = await looked(page, 0);
        expect({ wider, wide }).to.deep.equal({ wider: 0, wide: [] });
      });
    });
  }

  it('the bench at 1024 has nothing cut', async () => {
    await page.setViewportSize({ width: 1024, height: 768 });
    await page.goto(`/review/${await demoFilmId('maren-second-front')}`);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    const { wider, wide } = await looked(page, 0);
    expect({ wider, wide }).to.deep.equal({ wider: 0, wide: [] });
    // What is cut off by the row that it stands in is no wider than the window.
    await pressOnBody(page, 'l', page.getByRole('region', { name: 'Points by hand' }));
    const cut = await page
      .locator('.film')
      .evaluate((film) =>
        [...film.querySelectorAll('button, select')]
          .filter((one) => one.getBoundingClientRect().right > film.getBoundingClientRect().right + 1)
          .map(({ textContent }) => textContent),
      );
    expect(cut).to.deep.equal([]);
  });

  it('the menu is at the thumb and leads everywhere', async () => {
    await page.setViewportSize({ width: 360, height: 740 });
    await settled(page, '/');
    const menu = page.getByRole('navigation', { name: 'Main' });
    expect((await menu.boundingBox())!.y).to.be.above(600);
    for (const name of ['Trainees', 'Corrections', 'Floor', 'Checklists', 'Today']) {
      await menu.getByRole('link', { name }).click();
      await page.locator('main h1').first().waitFor();
      await menu.locator(`[aria-current="page"]`, { hasText: name }).waitFor();
    }
  });
});
