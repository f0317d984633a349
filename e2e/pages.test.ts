import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { press, signedIn } from './coach.ts';
import { accessible } from './looked.ts';
import { badFilms, made } from '../server/test/films.ts';
import { coachEmail, expectNoProblems, password, runningClub } from './running-club.ts';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { soon } from './soon.ts';

/** Nothing sticks out to the right, and on the bench nothing below either. */
const overflow = (page: Page) =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth, scrollHeight, clientHeight } = document.documentElement;
    return { right: scrollWidth - clientWidth, below: scrollHeight - clientHeight };
  });

describe('pages', function () {
  this.timeout(240_000);
  let page: Page;
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  const visits: [what: string, go: () => Promise<unknown>][] = [
    [
      'Checklists',
      async () => {
        await page.goto('/checklists');
        await page.getByRole('link', { name: 'Rear round kick', exact: true }).waitFor();
      },
    ],
    ['a checklist', () => page.goto('/checklists/cross')],
    [
      'a checklist that is changed',
      async () => {
        await page.getByRole('button', { name: 'Change', exact: true }).click();
        await page.locator('[data-row="sm.snap"] .name').click();
        await page.locator('[data-effect]').waitFor();
      },
    ],
    ['Schools', () => page.goto('/schools')],
    ['Call books', () => page.goto('/call-books')],
    ['Today', () => page.goto('/')],
    // The page before is still there for a moment, and may speak of the same trainee.
    [
      'Trainees',
      async () => {
        await page.getByRole('link', { name: 'Trainees' }).click();
        await page.waitForURL('**/trainees');
      },
    ],
    [
      'a trainee',
      async () => {
        await page.getByRole('link', { name: 'Maren Lysvik' }).click();
        await page.waitForURL('**/trainees/*');
      },
    ],
    ['a session', () => page.locator('.session').last().click()],
    [
      'a sheet of strikes',
      async () => {
        await page.getByRole('link', { name: 'Sheet of strikes' }).click();
        await page.locator('.sheet canvas').waitFor();
      },
    ],
    [
      'Measures',
      async () => {
        await page.getByRole('link', { name: 'How far measures agree' }).click();
        await page
          .getByLabel(/counts by itself/)
          .first()
          .waitFor();
        await page.getByText('still to be measured').waitFor({ state: 'detached', timeout: 150_000 });
      },
    ],
    [
      'a card',
      async () => {
        await page.goBack();
        await page.goBack();
        await page.getByRole('link', { name: 'Card' }).click();
      },
    ],
    [
      'a session report',
      async () => {
        await page.goBack();
        await page.getByRole('link', { name: 'Report' }).click();
        await page.locator('.report').waitFor();
      },
    ],
    [
      'hits and rounds',
      async () => {
        await page.goBack();
        await page.getByRole('link', { name: 'Rounds', exact: true }).first().click();
        await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
      },
    ],
    [
      'filming',
      async () => {
        await page.goBack();
        await page.getByRole('link', { name: 'Film rounds now' }).click();
        await page.getByRole('meter').waitFor();
      },
    ],
    [
      'the bench',
      async () => {
        await page.goBack();
        await page.getByRole('link', { name: 'Look again' }).first().click();
        await page.getByLabel('The walk').getByRole('heading').waitFor();
      },
    ],
    ['the bench with all rows', () => press(page, 'x')],
    ['the keys', () => press(page, '?')],
  ];
  for (const [what, go] of visits) {
    it(`${what}: can be used without a mouse or without eyes, and fits`, async () => {
      await go();
      await page.waitForLoadState('networkidle');
      await page.locator('.v-skeleton-loader').first().waitFor({ state: 'detached' });
      await accessible(page, what);
      const { right, below } = await overflow(page);
      expect(right).to.equal(0);
      if (what.includes('bench')) expect(below).to.equal(0);
    });
  }

  it('the bench fits a tablet too', async () => {
    await page.keyboard.press('Escape');
    await page.setViewportSize({ width: 1024, height: 768 });
    expect(await overflow(page)).to.deep.equal({ right: 0, below: 0 });
    await page.setViewportSize({ width: 1280, height: 800 });
  });

  it('an address that leads nowhere says so', async () => {
    await page.goto('/nowhere/at/all');
    await page.getByText('There is nothing at this address').waitFor();
    await page.goto('/trainees/01990000-0000-7000-8000-000000000000');
    await page.getByText('This trainee is not here. It may have been removed.').waitFor();
  });

  it('films that are none are refused with their reason, each by itself', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'wax-fist-bad-'));
    const files = await Promise.all(
      ['text.mp4', 'sound.mp4', 'one-frame.mp4'].map((name) => made(folder, name, badFilms[name]!.make)),
    );
    await writeFile(join(folder, 'empty.mp4'), '');
    await writeFile(join(folder, 'notes.pdf'), 'no film');
    await page.goto('/trainees');
    await page.getByRole('link', { name: 'Juno Perrault' }).click();
    await page.getByRole('button', { name: 'Add a session' }).click();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL(/\/sessions\//);
    await page.locator('input[type=file]').setInputFiles([...files, join(folder, 'empty.mp4'), join(folder, 'notes.pdf')]);
    for (const reason of [
      'This is not a video, whatever its name says.',
      'This file has sound but no picture.',
      'This file holds a single picture.',
      'The file is empty (0 bytes)',
      'Not a film that can be read here',
    ]) {
      await page.getByText(reason).first().waitFor({ timeout: 30_000 });
    }
    await rm(folder, { recursive: true });
  });

  it('a session of tomorrow is refused where the date is', async () => {
    await page.goto('/trainees');
    await page.getByRole('link', { name: 'Idris Falkeid' }).click();
    await page.getByRole('button', { name: 'Add a session' }).click();
    await page.getByLabel('Date').fill('2099-01-01');
    await page.getByLabel('Kit').fill('new gloves');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('This date is still to come.').waitFor();
    await soon(async () => expect(await page.getByLabel('Kit').inputValue()).to.equal('new gloves'));
  });
});

describe('the door', () => {
  expectNoProblems();

  it('asks first, then leads to where one wanted to go; a wrong password is told', async () => {
    const page = await (await runningClub()).page();
    await page.goto('/trainees');
    await page.waitForURL(/sign-in\?to=/);
    await accessible(page, 'sign-in');
    await page.getByLabel('E-mail').fill(coachEmail);
    await page.getByLabel('Password', { exact: true }).fill('wrong');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByText('do not belong together').waitFor();
    await page.getByLabel('Password', { exact: true }).fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL('/trainees');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.waitForURL('/sign-in');
    await page.goto('/trainees');
    await page.waitForURL(/sign-in/);
    await page.context().close();
  });

  it('does not send anyone to another site', async () => {
    const page = await (await runningClub()).page();
    await page.goto('/sign-in?to=//elsewhere.example/');
    await page.getByLabel('E-mail').fill(coachEmail);
    await page.getByLabel('Password', { exact: true }).fill(password);
    await page.keyboard.press('Enter');
    await page.waitForURL('/');
    await page.context().close();
  });

  it('loads at most 250 kB of script for the first page', async () => {
    const stranger = await (await runningClub()).page();
    for (const [path, page] of [['/sign-in', stranger] as const, ['/', await signedIn()] as const]) {
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      const bytes = await page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .filter(({ name }) => name.endsWith('.js'))
          .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).encodedBodySize, 0),
      );
      expect(bytes, path).to.be.within(50_000, 250_000);
      await page.context().close();
    }
  });
});
