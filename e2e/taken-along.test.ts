import { expect } from 'chai';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { trainee } from '../server/db/schema/index.ts';
import { addSession, addTrainee, signedIn } from './coach.ts';
import { demoFilmId } from './demo-truth.ts';
import { numberedFilms } from './numbered-films.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

describe('what is taken along comes back in', function () {
  this.timeout(240_000);
  let page: Page;
  let folder: string;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-along-'));
    page = await signedIn();
  });
  after(async () => {
    await page.context().close();
    await rm(folder, { recursive: true });
  });
  expectNoProblems();

  it('an archive of a trainee is made, downloaded, sent and looked through: everything is here already', async () => {
    const someone = (await (await runningClub()).db.select().from(trainee)).find(({ name }) => name.startsWith('Lio'))!;
    await page.goto(`/trainees/${someone.id}`);
    await page.getByRole('button', { name: 'Take along' }).click();
    // With the keyboard: a pointer that is as quick as a test meets the menu while it still opens.
    await page.locator('a', { hasText: 'Everything, with films' }).press('Enter');
    await page.getByRole('button', { name: 'Make it' }).click();
    const link = page.getByRole('link', { name: 'Download' }).first();
    await link.waitFor();
    const [download] = await Promise.all([page.waitForEvent('download'), link.click()]);
    const path = join(folder, 'archive.zip');
    await download.saveAs(path);
    await page.locator('input[type=file]').setInputFiles(path);
    await page.getByText('Everything in it is here already.').waitFor();
    await page.getByRole('button', { name: 'Read it in' }).click();
    await page.getByText('It is read in.').waitFor();
  });

  it('half an archive is refused with the reason', async () => {
    const path = join(folder, 'half.zip');
    await writeFile(path, Buffer.from('PK\u0003\u0004 and no more'));
    await page.locator('input[type=file]').setInputFiles(path);
    await page.getByText('cut short').waitFor();
    await page.getByRole('button', { name: /Remove the archive of Lio/ }).click();
    await page.getByRole('link', { name: 'Download' }).waitFor({ state: 'detached' });
  });

  it('a table of marks is mapped, its bad rows are named, the rest is read in, and taken back', async () => {
    const filmId = await demoFilmId('idris-1-lead-side');
    const path = join(folder, 'marks.csv');
    const rows = ['zeit;was;was genau;urteil', '0,9;jab;Return line;fault', '2,1;lead hook;;', 'später;cross;;', ''];
    await writeFile(path, Buffer.from(rows.join('\r\n'), 'latin1'));
    await page.goto(`/films/${filmId}/marks`);
    await page.locator('input[type=file]').setInputFiles(path);
    await page.locator('.v-select').filter({ hasText: 'Technique' }).first().click();
    await page.getByRole('option', { name: 'was', exact: true }).click();
    await page.getByText('2 strikes, 0 verdicts').waitFor();
    await page.getByText('“später” is no time.').waitFor();
    await page.getByRole('button', { name: 'Read in the rest' }).click();
    await page.getByText('2 strikes read in.').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Read in the rest' }).waitFor();
  });

  it('a film and the marks beside it are chosen together, and the marks wait for their film', async () => {
    const [film, marks] = [join(folder, 'beside.mp4'), join(folder, 'beside.vtt')];
    await numberedFilms['constant-30.mp4']!(film);
    await writeFile(marks, 'WEBVTT\n\n00:01.000 --> 00:01.500\nJab\nReturn line: fault\n\n00:02.000 --> 00:02.500\nCross\n');
    await addTrainee(page, 'Marks beside');
    await addSession(page);
    await page.locator('input[type=file]').setInputFiles([film, marks]);
    const waiting = page.getByLabel('Files of marks that wait for their film');
    await waiting.getByText('beside.vtt').waitFor();
    await page.getByRole('link', { name: 'Read its marks' }).click({ timeout: 90_000 });
    await page.getByText('2 strikes, 1 verdict').waitFor();
    await page.getByRole('button', { name: 'Read them in' }).click();
    await page.getByText('2 strikes read in.').waitFor();
    await page.goBack();
    await page.locator('.film').getByText('1 of 2 strikes judged').waitFor();
    await soon(async () => expect(await waiting.count()).to.equal(0));
  });

  it('what was taken along of a film says nothing new there', async () => {
    const filmId = await demoFilmId('idris-1-lead-side');
    await page.goto(`/films/${filmId}/marks`);
    const texts = await page.evaluate(
      async (id) =>
        Promise.all(['strikes.vtt', 'strikes.srt'].map(async (file) => (await fetch(`/api/films/${id}/exports/${file}`)).text())),
      filmId,
    );
    for (const [place, ending] of ['vtt', 'srt'].entries()) {
      const path = join(folder, `strikes.${ending}`);
      await writeFile(path, texts[place]!);
      await page.locator('input[type=file]').setInputFiles(path);
      await page.getByText('with all that is said of them').waitFor();
      await soon(async () => expect(await page.getByText('cannot be read').count()).to.equal(0));
    }
  });
});
