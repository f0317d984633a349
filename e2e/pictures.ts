import { and, asc, eq } from 'drizzle-orm';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { correction, strike, trainee, trainingSession } from '../server/db/schema/index.ts';
import { press, signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { endClub, runningClub } from './running-club.ts';

// Takes the pictures of docs/screenshots anew, from a demo club that was just loaded: all of them, or those that are named.

const folder = join(import.meta.dirname, '..', 'docs', 'screenshots');
const { db } = await runningClub();

const named = async (name: string): Promise<string> => {
  const people = await db.select().from(trainee);
  return people.find((one) => one.name.startsWith(name))!.id;
};
/** @param place of somebody's sessions, the oldest first; from the end when it is less than nothing */
async function sessionOf(name: string, place: number): Promise<string> {
  const rows = await db
    .select()
    .from(trainingSession)
    .where(eq(trainingSession.traineeId, await named(name)))
    .orderBy(asc(trainingSession.heldOn));
  return rows.at(place)!.id;
}
const correctionOf = async (name: string): Promise<string> =>
  (
    await db
      .select()
      .from(correction)
      .where(eq(correction.traineeId, await named(name)))
  )[0]!.id;
async function strikeOf(film: string, place: number): Promise<string> {
  const filmId = await demoFilmId(film);
  const rows = await db
    .select()
    .from(strike)
    .where(and(eq(strike.filmId, filmId), eq(strike.removed, false)))
    .orderBy(asc(strike.contactFrame));
  return rows[place]!.id;
}

/** The bench is there once the picture and the stills are drawn. */
async function onBench(page: Page, film: string, place?: number): Promise<void> {
  const strikeId = place === undefined ? '' : await strikeOf(film, place);
  await page.goto(`/review/${await demoFilmId(film)}/${strikeId}`);
  await page.locator('.which').waitFor();
  await page.locator('.stage canvas:not([data-frame="-1"])').first().waitFor();
}

const views: Record<string, (page: Page) => Promise<unknown>> = {
  today: (page) => page.goto('/'),
  session: async (page) => page.goto(`/sessions/${await sessionOf('Maren', -1)}`),
  trainee: async (page) => page.goto(`/trainees/${await named('Juno')}`),
  corrections: async (page) => {
    await page.goto('/corrections');
    await page.getByText('All open').click();
  },
  checklist: (page) => page.goto('/checklists/jab'),
  'set-up': (page) => page.goto('/set-up'),
  bench: (page) => onBench(page, 'juno-4-lead-side', 0),
  measured: async (page) => {
    await onBench(page, 'sunniva-bag-lead-side', 4);
    await press(page, 'x');
    await page.getByText('Chin down').click();
    await press(page, 'y');
  },
  'two-views': async (page) => {
    await onBench(page, 'maren-first-lead-side', 0);
    await press(page, 'v');
    await page.locator('.stage canvas:not([data-frame="-1"])').nth(1).waitFor();
  },
  compare: async (page) => page.goto(`/compare/${await strikeOf('idris-4-lead-side', 1)}/drawn`),
  rounds: async (page) => page.goto(`/films/${await demoFilmId('tove-rounds-lead-side')}/rounds`),
  card: async (page) => page.goto(`/corrections/${await correctionOf('Maren')}/card`),
  report: async (page) => page.goto(`/sessions/${await sessionOf('Maren', 0)}/report`),
  'way-to-test': async (page) => page.goto(`/trainees/${await named('Maren')}/test`),
  montage: async (page) => {
    await page.goto(`/sessions/${await sessionOf('Maren', -1)}/montage?technique=cross&checkpoint=pv.rear-turn&which=faults`);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
  },
  filming: async (page) => page.goto(`/sessions/${await sessionOf('Sunniva', -1)}/film`),
  plan: async (page) => {
    await page.goto(`/trainees/${await named('Pavel')}/plan`);
    await page.getByText('It keeps every rule.').waitFor();
  },
  'floor-timer': async (page) => {
    await page.goto(`/trainees/${await named('Pavel')}/plan`);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('link', { name: 'To the floor' }).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await page.getByText('The session is planned.').waitFor({ state: 'hidden' });
    await page.getByText('Work', { exact: true }).waitFor();
  },
  phone: async (page) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/sessions/${await sessionOf('Idris', -1)}`);
  },
};

const wanted = process.argv.slice(2);
for (const name of wanted) if (!views[name]) throw new Error(`There is no view “${name}”: ${Object.keys(views).join(', ')}.`);
const page = await signedIn();
for (const [name, open] of Object.entries(views)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1500);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  process.stdout.write(`${name}\n`);
}
await page.context().close();
await endClub();
