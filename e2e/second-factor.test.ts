import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { account, secondFactorDemand } from '../server/db/schema/index.ts';
import { hashedPassword } from '../server/features/accounts/passwords.ts';
import { codeAt } from '../server/features/second-factor/codes.ts';
import { signedIn, signedInAs, throughTheDoor } from './coach.ts';
import { accessible, looked } from './looked.ts';
import { expectNoProblems, password, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

const email = 'two-keys@boathouse.example';
const halfMinute = 30_000;

describe('a second factor', function () {
  this.timeout(120_000);
  let page: Page;
  let secret: string;
  let code: string;
  before(async () => {
    const { db } = await runningClub();
    const somebody = { id: uuid(), email, name: 'Two Keys', role: 'coach' as const };
    await db.insert(account).values({ ...somebody, passwordHash: await hashedPassword(password) });
    page = await signedInAs(email);
  });
  after(async () => {
    await (await runningClub()).db.delete(secondFactorDemand);
    await page.context().close();
  });
  expectNoProblems();

  const fits = async (what: string): Promise<void> => {
    await accessible(page, what);
    await page.setViewportSize({ width: 390, height: 844 });
    await soon(async () => expect(await looked(page, 44)).to.deep.equal({ wider: 0, wide: [], small: [] }));
    await page.setViewportSize({ width: 1280, height: 800 });
  };

  it('is set up with the password, a secret for the app, and a code that comes back, by the keyboard', async () => {
    await page.goto('/people');
    await page.getByRole('button', { name: 'Set it up' }).press('Enter');
    await page.getByLabel('Your password').fill(password);
    await page.keyboard.press('Enter');
    await page.getByAltText(/square code/).waitFor();
    await fits('a secret for an app');
    secret = (await page.locator('form code').innerText()).replaceAll(' ', '');
    await page.getByLabel('The code that it shows now').fill(codeAt(secret, Date.now()));
    await page.keyboard.press('Enter');
    const kept = page.getByRole('region', { name: 'Codes for when the app is lost' });
    await kept.waitFor();
    await fits('codes for when the app is lost');
    const codes = await kept.locator('li').allInnerTexts();
    expect(codes).to.have.length(8);
    code = codes[0]!.trim();
    await page.getByRole('button', { name: 'I have them' }).press('Enter');
    await page.getByText('there are 8 codes left').waitFor();
  });

  it('is asked for at the door, and a wrong code says so', async () => {
    await page.context().clearCookies();
    await page.goto('/sign-in');
    await throughTheDoor(page, email);
    await page.getByText('The six digits of your app, or one of your codes.').waitFor();
    await fits('the door with a code');
    await page.getByLabel('Code', { exact: true }).fill('123');
    await page.keyboard.press('Enter');
    await page.getByText('This code is wrong, out of time, or was taken already.').waitFor();
    // The code of this half minute may be the one that was taken; a clock may be ahead by one.
    await page.getByLabel('Code', { exact: true }).fill(codeAt(secret, Date.now() + halfMinute));
    await page.keyboard.press('Enter');
    await page.waitForURL(({ pathname }) => pathname !== '/sign-in');
  });

  it('lets somebody in who has lost the app, and is left', async () => {
    await page.context().clearCookies();
    await page.goto('/sign-in');
    await throughTheDoor(page, email);
    await page.getByLabel('Code', { exact: true }).fill(code);
    await page.keyboard.press('Enter');
    await page.waitForURL(({ pathname }) => pathname !== '/sign-in');
    await page.goto('/people');
    await page.getByText('there are 7 codes left').waitFor();
    await page.getByRole('button', { name: 'Leave the second factor' }).click();
    await page.getByLabel('Your password').fill(password);
    await page.getByRole('button', { name: 'Leave it' }).click();
    await page.getByRole('button', { name: 'Set it up' }).waitFor();
  });

  it('is demanded by the head coach, and from then on comes before everything else', async () => {
    const head = await signedIn();
    await head.goto('/people');
    const demand = head.getByRole('region', { name: 'Second factor: demanded of' });
    await demand.getByLabel('Head coach').click();
    await demand.getByText('Set up your own second factor first').waitFor();
    await demand.getByLabel('Coach', { exact: true }).click();
    await head.getByText('Who has none yet is asked at once.').waitFor();
    await page.reload();
    await page.goto('/trainees');
    await page.waitForURL('**/people');
    await page.getByText('Your club asks for a second factor. Set it up here, then go on.').waitFor();
    await fits('a second factor that is due');

    await page.getByRole('button', { name: 'Set it up' }).click();
    await page.getByLabel('Your password').fill(password);
    await page.keyboard.press('Enter');
    await page.getByAltText(/square code/).waitFor();
    const next = (await page.locator('form code').innerText()).replaceAll(' ', '');
    await page.getByLabel('The code that it shows now').fill(codeAt(next, Date.now()));
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'I have them' }).click();
    await page.getByText('Your club asks for it.').waitFor();
    await page.getByRole('link', { name: 'Trainees' }).first().click();
    await page.waitForURL('**/trainees');
    await head.getByRole('button', { name: 'Undo' }).click();
    await head.getByText('It is back.').waitFor();
    await head.context().close();
  });
});
