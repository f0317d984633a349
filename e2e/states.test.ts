import type { Page } from 'playwright-core';
import { pressOnBody, signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { accessible } from './looked.ts';
import { expectNoProblems, runningClub } from './running-club.ts';

describe('what opens on a page', function () {
  this.timeout(120_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  const pressed = async (name: string | RegExp): Promise<void> => {
    await page.getByRole('button', { name }).first().press('Enter');
  };
  const trainee = async (): Promise<void> => {
    const all = await (await runningClub()).db.query.trainee.findMany();
    await page.goto(`/trainees/${all.find(({ name }) => name.startsWith('Maren'))!.id}`);
    await page.locator('main h1').waitFor();
  };
  const session = async (): Promise<void> => {
    const filmId = await demoFilmId('maren-second-lead-side');
    const film = (await (await runningClub()).db.query.film.findMany()).find(({ id }) => id === filmId)!;
    await page.goto(`/sessions/${film.sessionId}`);
    await page.locator('main h1').waitFor();
  };
  const strike = async (): Promise<void> => {
    await page.goto(`/review/${await demoFilmId('idris-4-lead-side')}`);
    await page.locator('.which').waitFor();
  };

  const states: [what: string, open: () => Promise<unknown>][] = [
    [
      'the dialog of a new trainee, with what is missing',
      async () => {
        await page.goto('/trainees');
        await pressed('Add a trainee');
        await page.getByRole('dialog').getByRole('button', { name: 'Save' }).press('Enter');
        await page.locator('.v-messages__message').first().waitFor();
      },
    ],
    ['the dialog of a session', () => trainee().then(() => pressed('Add a session'))],
    ['the dialog of a consent', () => trainee().then(() => pressed('Ask anew'))],
    ['the dialog of a trainee', () => trainee().then(() => pressed('Change'))],
    ['what is taken along', () => trainee().then(() => pressed('Take along'))],
    ['the dialog of a correction', () => session().then(() => pressed('Open a correction'))],
    [
      'two strikes held against each other',
      async () => {
        await strike();
        await page.keyboard.press('Shift+C');
        await page.locator('.stages .stage canvas:not([data-frame="-1"])').nth(1).waitFor();
      },
    ],
    [
      'a strike against how it should be',
      async () => {
        await page.keyboard.press('5');
        await page.getByRole('img', { name: 'A drawn body' }).waitFor();
      },
    ],
    [
      'the bench with the body and its points',
      async () => {
        await strike();
        await pressOnBody(page, 'l', page.getByRole('region', { name: 'Points by hand' }));
      },
    ],
    [
      'a note at the bench',
      async () => {
        await strike();
        await page.keyboard.press('Shift+N');
        await page.getByRole('dialog').waitFor();
      },
    ],
    [
      'a list that finds nobody',
      async () => {
        await page.goto('/trainees');
        await page.getByRole('textbox', { name: 'Find' }).fill('nobody at all');
        await page.getByText('Nobody is called so.').waitFor();
      },
    ],
    [
      'something that is not there',
      async () => {
        await page.goto('/trainees/01990000-0000-7000-8000-000000000000');
        await page.getByRole('alert').waitFor();
      },
    ],
    [
      'a strike that was picked',
      async () => {
        await page.goto(`/films/${await demoFilmId('sunniva-bag-lead-side')}/rounds?half=1`);
        await page.getByRole('status', { name: 'Picked' }).waitFor();
      },
    ],
  ];
  for (const [what, open] of states) {
    it(`${what}: can be used without a mouse or without eyes`, async () => {
      await open();
      await accessible(page, what);
    });
  }
});
