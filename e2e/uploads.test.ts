import { expect } from 'chai';
import { copyFile, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CDPSession, Page } from 'playwright-core';
import { ffmpeg } from '../server/test/films.ts';
import { addSession, addTrainee, signedIn } from './coach.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

/** Bytes a second. */
const slow = 4e6;

describe('uploads', function () {
  this.timeout(180_000);
  let page: Page;
  let line: CDPSession;
  let folder: string;
  /** Uncompressed, so that sending takes its time; no two alike. */
  const film = async (name: string, hue: number): Promise<string> => {
    const path = join(folder, name);
    await ffmpeg(
      '-f',
      'lavfi',
      '-i',
      `testsrc2=s=640x480:r=30:d=2,hue=h=${hue}`,
      '-c:v',
      'rawvideo',
      '-pix_fmt',
      'yuv420p',
      path,
    );
    return path;
  };
  const speed = (bytesPerSecond: number) =>
    line.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: bytesPerSecond,
    });
  const sending = (name: string) => page.getByLabel('Films being sent').locator('li', { hasText: name });
  /** What the row says of megabytes sent. */
  const sent = async (name: string): Promise<number> => Number(/([\d.]+) MB of/.exec(await sending(name).innerText())?.[1] ?? 0);
  const atLeast = async (name: string, megabytes: number): Promise<void> => {
    while ((await sent(name)) < megabytes) await page.waitForTimeout(50);
  };
  const arrived = (name: string): Promise<void> => page.locator('.film', { hasText: name }).waitFor({ timeout: 60_000 });

  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-uploads-'));
    page = await signedIn();
    await addTrainee(page, 'Una Testing');
    await addSession(page);
    line = await page.context().newCDPSession(page);
    await line.send('Network.enable');
  });
  after(async () => {
    await page.context().close();
    await rm(folder, { recursive: true });
  });
  expectNoProblems();

  it('two films go side by side, one is paused and goes on where it stopped', async () => {
    await speed(slow);
    await page.locator('input[type=file]').setInputFiles([await film('one.avi', 0), await film('two.avi', 90)]);
    await atLeast('one.avi', 3);
    await page
      .getByText(/about \d+ s left|a few seconds left/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Pause one.avi' }).click();
    await sending('one.avi').getByText('paused').waitFor();
    const paused = await sent('one.avi');
    await atLeast('two.avi', (await sent('two.avi')) + 2);
    expect(await sent('one.avi')).to.be.closeTo(paused, 0.1);
    await page.getByRole('button', { name: 'Go on with one.avi' }).click();
    await speed(-1);
    await arrived('one.avi');
    await arrived('two.avi');
  });

  it('the server is killed in the middle, and the film goes on when it is back', async () => {
    await speed(slow);
    await page.locator('input[type=file]').setInputFiles(await film('three.avi', 180));
    await atLeast('three.avi', 4);
    await (await runningClub()).whileServerIsAway(() => page.waitForTimeout(1500));
    await speed(-1);
    await arrived('three.avi');
  });

  it('the browser is closed in the middle, and the same file goes on where it stopped', async () => {
    const path = await film('four.avi', 270);
    await speed(slow);
    await page.locator('input[type=file]').setInputFiles(path);
    await atLeast('four.avi', 6);
    page.once('dialog', (dialog) => void dialog.accept());
    await page.reload();
    await page.getByText('four.avi was half sent when the browser was closed').waitFor();
    const received: number[] = [];
    page.on('request', (request) => {
      if (request.method() === 'PATCH') received.push(Number(request.headers()['upload-offset']));
    });
    await speed(-1);
    await page.locator('input[type=file]').setInputFiles(path);
    await arrived('four.avi');
    expect(received[0]).to.be.above(0);
    await page.getByText('four.avi was half sent').waitFor({ state: 'detached' });
  });

  it('a film that is here already is offered as the same, and not sent', async () => {
    await page.locator('input[type=file]').setInputFiles(join(folder, 'two.avi'));
    const row = sending('two.avi');
    await row.getByText('This film is here already: Una Testing').waitFor();
    await page.getByRole('button', { name: 'Drop two.avi' }).click();
    await row.waitFor({ state: 'detached' });
    await soon(async () => expect(await page.locator('.film', { hasText: 'two.avi' }).count()).to.equal(1));
  });

  it('the same bytes under two names, chosen at once, are sent once', async () => {
    const path = await film('first.avi', 200);
    await copyFile(path, join(folder, 'second.avi'));
    await page.locator('input[type=file]').setInputFiles([path, join(folder, 'second.avi')]);
    await page.getByText(/The same film as (first|second)\.avi, which is on its way already\./).waitFor();
    await soon(async () => expect(await page.getByRole('button', { name: 'Send all the same' }).count()).to.equal(1));
    await page
      .getByRole('button', { name: /^Drop (first|second)\.avi/ })
      .last()
      .click();
  });

  it('work on a film is stopped when told to, and goes on', async () => {
    await ffmpeg(
      '-f',
      'lavfi',
      '-i',
      'testsrc2=s=1920x1080:r=60:d=20',
      '-c:v',
      'libx264',
      '-preset',
      'ultrafast',
      join(folder, 'long.mp4'),
    );
    await page.locator('input[type=file]').setInputFiles(join(folder, 'long.mp4'));
    const row = page.locator('.film', { hasText: 'long.mp4' });
    await row.getByText('making the review copy').waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Stop working on long.mp4' }).click();
    await row.getByText('Stopped. The original is safe').waitFor();
    await row.getByRole('button', { name: 'Go on' }).click();
    // That it comes to its end is tried with a smaller film on the server.
    await row.getByText('making the review copy').waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Stop working on long.mp4' }).click();
    await page.getByRole('button', { name: 'Remove long.mp4' }).click();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await row.waitFor({ state: 'detached' });
  });
});
