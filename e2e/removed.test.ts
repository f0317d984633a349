import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { addSession, addTrainee, signedIn } from './coach.ts';
import { expectNoProblems } from './running-club.ts';
import { soon } from './soon.ts';

describe('what is removed', function () {
  this.timeout(120_000);
  let page: Page;
  let trainee: string;
  let session: string;
  before(async () => {
    page = await signedIn();
    await addTrainee(page, 'Here for a day');
    trainee = new URL(page.url()).pathname;
    await addSession(page);
    session = new URL(page.url()).pathname;
  });
  after(() => page.context().close());
  expectNoProblems();

  const remove = async (what: string): Promise<void> => {
    await page.getByRole('button', { name: `Remove this ${what}` }).click();
    await page.getByRole('button', { name: 'Remove it' }).click();
  };

  const putBack = (): Locator => page.getByRole('button', { name: 'Put back: Here for a day', exact: true });
  /** Other tests remove things of the same club. */
  const gone = (): Promise<void> => putBack().waitFor({ state: 'detached' });

  it('is taken back at the foot of the page', async () => {
    await remove('session');
    await page.waitForURL(`**${trainee}`);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.waitForURL(`**${session}`);
    await page.getByRole('button', { name: 'Remove this session' }).waitFor();
  });

  it('lies among what was removed, and is put back from there, with what belongs to it', async () => {
    await page.goto(trainee);
    await remove('trainee');
    await page.waitForURL('**/trainees');
    await page.getByRole('link', { name: 'Removed in the last day' }).click();
    await putBack().click();
    await gone();
    await page.goto(session);
    await page.getByRole('link', { name: 'Here for a day' }).waitFor();
  });

  it('is gone for good when that is said', async () => {
    await page.goto(trainee);
    await remove('trainee');
    await page.waitForURL('**/trainees');
    await page.goto('/removed');
    await page.getByRole('button', { name: 'For good: Here for a day', exact: true }).click();
    await page.getByRole('button', { name: 'For good', exact: true }).last().click();
    await gone();
    await page.goto(trainee);
    await page.getByText('This trainee is not here. It may have been removed.').waitFor();
    await soon(async () => expect(await page.getByText('Here for a day').count()).to.equal(0));
  });
});
