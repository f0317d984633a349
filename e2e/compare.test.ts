import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { account } from '../server/db/schema/index.ts';
import { writeMarks } from '../server/features/review/write-marks.ts';
import { observed, thrown } from '../server/test/marks.ts';
import { addSession, addTrainee, dayBefore, filmOnBench, press, signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { accessBoth, numberedFilms } from './numbered-films.ts';
import { coachEmail, expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** A strike in the film on the bench, with these frames for its moments. */
async function strikeIn(
  filmId: string,
  [launchFrame, contactFrame, homeFrame]: readonly [number, number, number],
): Promise<string> {
  const { db } = await runningClub();
  const [coach] = await db.select({ id: account.id }).from(account).where(eq(account.email, coachEmail));
  const strikeId = uuid();
  await writeMarks(
    db,
    filmId,
    [thrown(strikeId, { launchFrame, contactFrame, homeFrame }), observed(strikeId, 'clean')],
    coach!.id,
  );
  return strikeId;
}
const filmOf = (page: Page): string => /review\/([^/?]+)/.exec(page.url())![1]!;
const both = (page: Page) => page.locator('.stage canvas:not([data-frame="-1"])');
const where = (page: Page): Promise<string> => page.locator('.where').innerText();

describe('two strikes held against each other', function () {
  this.timeout(240_000);
  let page: Page;
  let folder: string;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-compared-'));
    page = await signedIn();
  });
  after(async () => {
    await page.context().close();
    await rm(folder, { recursive: true });
  });
  expectNoProblems();

  it('each by its own frames, none of three hundred wrong, in two films of different rates', async () => {
    await addTrainee(page, 'Numbers, compared');
    const trainee = page.url();
    const strikes: string[] = [];
    const films = { 'variable.mp4': [60, 100, 150], 'slow-motion-120.mp4': [80, 130, 180] } as const;
    for (const [place, [name, moments]] of Object.entries(films).entries()) {
      const path = join(folder, name);
      await numberedFilms[name]!(path);
      await page.goto(trainee);
      await addSession(page, dayBefore(9 - 7 * place));
      await filmOnBench(page, path);
      strikes.push(await strikeIn(filmOf(page), moments));
    }
    await page.reload();
    await page.locator('.which').waitFor();
    await press(page, 'Shift+C');
    await page.waitForURL(new RegExp(`/compare/${strikes[1]}/${strikes[0]}`));
    await both(page).nth(1).waitFor();
    await soon(async () => expect(await where(page)).to.include('at contact frames 130 and 100'));
    await press(page, 'u');
    await soon(async () => expect(await where(page)).to.include('at launch frames 80 and 60'));
    // There and back, in steps and in leaps.
    const run = (key: string, times: number): string[] => Array<string>(times).fill(key);
    const keys = [
      ...run('ArrowRight', 25),
      ...run('ArrowLeft', 36),
      'i',
      ...run('ArrowLeft', 20),
      'o',
      ...run('ArrowLeft', 36),
      'u',
    ];
    const accesses = [...(await accessBoth(page, keys)), ...(await accessBoth(page, run('ArrowRight', 32)))];
    expect(accesses.length).to.be.at.least(300);
    expect(accesses.filter(({ wanted, read }) => wanted !== read)).to.deep.equal([]);
  });

  it('from any strike in two keys: last time, the cleanest, and back', async () => {
    const filmId = await demoFilmId('idris-4-lead-side');
    await page.goto(`/review/${filmId}`);
    await page.locator('.which').waitFor();
    await press(page, 'Shift+C');
    await page.waitForURL(/\/compare\/[^/]+\/[^/]+/);
    await both(page).nth(1).waitFor();
    const lastTime = page.url();
    await page.getByLabel('What differs').getByText('Return line').waitFor();
    // The way of the hand lies over its picture.
    await soon(async () => {
      const [way, picture] = await Promise.all(
        ['.stage polyline', '.stage canvas'].map((one) => page.locator(one).first().boundingBox()),
      );
      expect(way!.y).to.be.within(picture!.y, picture!.y + picture!.height);
      expect(way!.x).to.be.within(picture!.x, picture!.x + picture!.width);
    });
    await press(page, '2');
    await page.waitForURL((url) => url.href !== lastTime);
    await both(page).nth(1).waitFor();
    await page.getByRole('button', { name: 'The cleanest', pressed: true }).waitFor();
    await press(page, 'Escape');
    await page.waitForURL(new RegExp(`/review/${filmId}`));
    await page.locator('.which').waitFor();
  });

  it('with how it should be, drawn, and with somebody else’s who may be shown; places change only between films', async () => {
    await press(page, 'Shift+C');
    await both(page).nth(1).waitFor();
    await press(page, '5');
    await page.waitForURL(/compare\/[^/]+\/drawn/);
    const drawn = page.getByRole('img', { name: 'A drawn body' });
    await drawn.waitFor();
    await soon(async () => expect(await both(page).count()).to.equal(1));
    await page.getByLabel('What differs').getByText('Chin down').waitFor();
    expect(await page.getByRole('button', { name: 'Change places' }).isDisabled()).to.equal(true);
    await press(page, 'u');
    await soon(async () => expect(await drawn.getAttribute('data-frame')).to.equal('18'));
    await page.waitForURL(/lock=launch/);
    await page.reload();
    await drawn.waitFor();
    await soon(async () => expect(await where(page)).to.include('at launch'));
    await press(page, '4');
    await page.waitForURL((url) => !url.pathname.endsWith('/drawn'));
    await both(page).nth(1).waitFor();
    const shown = await page.locator('figcaption').nth(1).innerText();
    expect(shown).to.include('Second').and.not.include('Idris');
    await press(page, 'Escape');
    await page.locator('.which').waitFor();
  });

  it('at an address that opens the same picture again', async () => {
    await press(page, 'Shift+C');
    await both(page).nth(1).waitFor();
    await press(page, 'v m o ArrowLeft ArrowLeft');
    const shown = await where(page);
    // The address follows a moment after the last key: of keys that came slowly it has had the first ones before.
    await page.waitForURL(new RegExp(`lock=home.*by=over.*mirror=yes.*at=-${/^\d+(?= ms before)/.exec(shown)?.[0]}$`));
    await page.reload();
    await both(page).nth(1).waitFor();
    await soon(async () => expect(await where(page)).to.equal(shown));
    await page.getByRole('button', { name: 'One over the other', pressed: true }).waitFor();
    await page.getByRole('button', { name: 'Mirrored', pressed: true }).waitFor();
  });

  it('plays both round and round, and stops where it stands', async () => {
    await press(page, ', Space');
    const begun = await where(page);
    await page.waitForFunction((before) => document.querySelector('.where')?.textContent !== before, begun);
    await page.getByRole('button', { name: 'Stop' }).waitFor();
    await press(page, 'Space');
    await page.getByRole('button', { name: 'Play round and round' }).waitFor();
    const shown = /frames (\d+) and (\d+)/.exec(await where(page))!;
    for (const place of [0, 1])
      await page
        .locator('.stage canvas')
        .nth(place)
        .and(page.locator(`[data-frame="${shown[place + 1]}"]`))
        .waitFor();
  });
});
