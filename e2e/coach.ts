import { dayAfter } from '@wax-fist/core/days';
import type { Locator, Page } from 'playwright-core';
import { coachEmail, password, runningClub, type RunningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** What a coach does at the keyboard, in the words of the pages. */
export const signedIn = (change: Parameters<RunningClub['page']>[0] = {}): Promise<Page> => signedInAs(coachEmail, change);

/** Whoever has this address. */
export async function signedInAs(email: string, change: Parameters<RunningClub['page']>[0] = {}): Promise<Page> {
  const page = await (await runningClub()).page(change);
  await page.goto('/sign-in');
  await throughTheDoor(page, email);
  // To the day’s work, or home.
  await page.waitForURL(({ pathname }) => pathname !== '/sign-in');
  return page;
}

/** A day so many days ago. */
export const dayBefore = (days: number): string => dayAfter(new Date().toISOString().slice(0, 10), -days);

/** On the page for signing in. */
export async function throughTheDoor(page: Page, email = coachEmail): Promise<void> {
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password', { exact: true }).fill(password);
  await page.keyboard.press('Enter');
}

export async function addTrainee(page: Page, name: string): Promise<void> {
  await page.goto('/trainees');
  await page.getByRole('button', { name: 'Add a trainee' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('heading', { name }).waitFor();
}

/** From the page of a trainee to that of a new session. */
export async function addSession(page: Page, date?: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a session' }).click();
  if (date) await page.getByLabel('Date').fill(date);
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/\/sessions\//);
}

/** On the page of a session: sends a film, also one that the club has already. */
export async function sendFilm(page: Page, path: string): Promise<void> {
  await page.locator('input[type=file]').setInputFiles(path);
  const allTheSame = page.getByRole('button', { name: 'Send all the same' });
  await allTheSame.or(page.locator('.film')).first().waitFor();
  if (await allTheSame.isVisible()) await allTheSame.click();
}

/** On the page of a session: sends a film, waits for its import, and opens the bench. */
export async function filmOnBench(page: Page, path: string): Promise<void> {
  await sendFilm(page, path);
  await page.getByRole('link', { name: 'Review', exact: true }).click({ timeout: 90_000 });
  await shownFrame(page, 0);
}

/** Waits until this frame is drawn. */
export const shownFrame = (page: Page, frame: number): Promise<void> =>
  page.locator(`.stage canvas[data-frame="${frame}"]`).waitFor({ state: 'attached', timeout: 15_000 });

/** Goes to a frame. @throws Error when the film has no such frame: the slider would stop at its last one without a word */
export async function goTo(page: Page, frame: number): Promise<void> {
  const place = page.getByLabel('Place in the film');
  await place.fill(String(frame));
  const last = await place.getAttribute('max');
  if (Number(last) < frame) throw new Error(`Frame ${frame} was asked for, and the last one is ${last}.`);
  await shownFrame(page, frame);
}

/** Presses keys one after the other, told with spaces between; counts them. */
export async function press(page: Page, keys: string): Promise<number> {
  const list = keys.split(' ').filter(Boolean);
  for (const key of list) await page.keyboard.press(key);
  return list.length;
}

/** Presses a key that needs the points of the body until it shows what it should: before they are here the page says so. */
export const pressOnBody = (page: Page, key: string, shown: Locator): Promise<void> =>
  soon(async () => {
    if (!(await shown.isVisible())) await page.keyboard.press(key);
    await shown.waitFor({ timeout: 1000 });
  });

export const allSaved = (page: Page): Promise<void> => page.locator('[data-state="saved"]').waitFor({ timeout: 30_000 });

/** Chooses in a list. On a busy machine a press that falls into the opening of a list is lost; a coach then presses again. */
export async function chosen(page: Page, field: string, option: string): Promise<void> {
  // The field, and not what lies over its text; it waits until a dialog has come to rest.
  const box = page.locator('.v-field', { has: page.getByRole('combobox', { name: field, exact: true }) });
  const wanted = page.getByRole('option', { name: option, exact: true });
  for (let tries = 0; tries < 4; tries++) {
    if (!(await wanted.isVisible())) await box.click();
    const pressed = wanted.click({ timeout: 5000 });
    const taken = pressed.then(() => box.getByText(option, { exact: true }).waitFor({ timeout: 5000 }));
    if (
      await taken.then(
        () => true,
        () => false,
      )
    )
      return;
  }
  throw new Error(`“${option}” was not taken for ${field}.`);
}
