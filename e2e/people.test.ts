import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { account } from '../server/db/schema/index.ts';
import { signedIn } from './coach.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

describe('people and their sign-ins', function () {
  this.timeout(120_000);
  let page: Page;
  let other: Page;
  before(async () => {
    page = await signedIn();
    other = await (await runningClub()).page();
  });
  after(async () => {
    await page.context().close();
    await other.context().close();
    await (await runningClub()).db.delete(account).where(eq(account.email, 'signe@boathouse.example'));
  });
  expectNoProblems();
  const password = 'gloves hang by the door';

  const linkOf = async (): Promise<string> => {
    const field = page.getByLabel('Link', { exact: true });
    await field.waitFor();
    const link = await field.inputValue();
    await page.getByRole('button', { name: 'Handed over' }).click();
    return new URL(link).pathname;
  };

  it('somebody is invited, comes in by the link, and it opens nothing afterwards', async () => {
    await page.getByRole('link', { name: 'Ragna Ostvik' }).click();
    await page.getByRole('button', { name: 'Invite somebody' }).click();
    await page.getByLabel('Name').fill('Signe');
    await page.getByRole('button', { name: 'Make the link' }).click();
    const link = await linkOf();
    await other.goto(link);
    await other.getByRole('heading', { name: 'Welcome, Signe' }).waitFor();
    await other.getByLabel('Name').fill('Signe Halvorsen');
    await other.getByLabel('E-mail').fill('signe@boathouse.example');
    await other.getByLabel(/^New password/).fill('too short');
    await other.getByRole('button', { name: 'Come in' }).click();
    await other.getByText('At least 12 letters: a short sentence').waitFor();
    await other.getByLabel(/^New password/).fill(password);
    await other.keyboard.press('Enter');
    await other.waitForURL('/');
    await page.goto(link);
    await page.getByText('This link opens nothing').waitFor();
  });

  it('signed in twice, the other one is seen and ended', async () => {
    const third = await (await runningClub()).page();
    await third.goto('/sign-in');
    await third.getByLabel('E-mail').fill('signe@boathouse.example');
    await third.getByLabel('Password', { exact: true }).fill(password);
    await third.keyboard.press('Enter');
    await third.waitForURL('/');
    await other.goto('/people');
    await other.getByRole('button', { name: 'Sign out there' }).click();
    await other.getByText('Signed out there.').waitFor();
    await third.context().close();
    await soon(async () => expect(await other.getByRole('button', { name: 'Sign out there' }).count()).to.equal(0));
    await soon(async () => expect(await other.getByText('People who sign in').count()).to.equal(0));
  });

  it('a lost password is helped by a code of the head coach', async () => {
    await page.goto('/people');
    const row = page.getByRole('listitem').filter({ hasText: 'Signe Halvorsen' });
    await row.getByRole('button', { name: 'Lost the password' }).click();
    const link = await linkOf();
    await other.goto(link);
    await other.getByText('For signe@boathouse.example.').waitFor();
    await other.getByLabel(/^New password/).fill('the second sentence is kept');
    await other.getByRole('button', { name: 'Come in' }).click();
    await other.waitForURL('/');
    await row.getByRole('button', { name: 'Take away' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Take away' }).click();
    await page.getByText('Signe Halvorsen can no longer sign in.').waitFor();
  });
});
