import { median, quantile } from 'd3-array';
import { inArray } from 'drizzle-orm';
import type { Page } from 'playwright-core';
import { press, signedIn } from '../e2e/coach.ts';
import { libraryFor } from '../simulator/recordings/library.ts';
import { demoFilmId } from '../e2e/demo-truth.ts';
import { endClub, runningClub } from '../e2e/running-club.ts';
import { filmStep } from '../server/db/schema/index.ts';
import { eventually } from '../server/test/eventually.ts';
import { benchAlignment, benchHits } from './hearing.ts';
import { benchArchive } from './archive.ts';
import { benchChange } from './change.ts';
import { benchFollowing } from './following.ts';
import { benchFaults } from './faults.ts';
import { benchHabits } from './habits.ts';
import { benchImport } from './import.ts';
import { benchLoad } from './load.ts';
import { benchMeasures } from './print-measures.ts';
import { benchRecordedHits } from './recorded-hits.ts';
import { benchPlan } from './plan.ts';
import { benchScale } from './scale.ts';
import { benchServer } from './server.ts';
import { benchSoak } from './soak.ts';
import { benchStrikes } from './strikes.ts';
import { benchTalk } from './talk.ts';
import { benchTestDay } from './test-day.ts';
import { benchTruePoints } from './true-points.ts';
import { print, type Line } from './table.ts';

type What = 'step' | 'jump' | 'next strike' | 'mark' | 'pin';

/** Milliseconds from a key to the screen that shows its effect: until the frame after the one in which it was drawn. */
const timed = (page: Page, what: What, times: number): Promise<number[]> =>
  page.evaluate(
    async ({ what, times }) => {
      const canvas = document.querySelector<HTMLCanvasElement>('.stage canvas')!;
      const scrubber = document.querySelector<HTMLInputElement>('input[aria-label="Place in the film"]')!;
      const key = (name: string, { type = 'keydown', ...how }: KeyboardEventInit & { type?: 'keydown' | 'keyup' } = {}): void =>
        void document.body.dispatchEvent(new KeyboardEvent(type, { key: name, bubbles: true, cancelable: true, ...how }));
      const painted = (): Promise<number> => new Promise((resolve) => requestAnimationFrame(() => resolve(performance.now())));
      /** Waits until the place has changed as it should: an attribute in it, or what is written there. */
      const changed = (place: Element, attribute: string | undefined, enough: () => boolean): Promise<void> =>
        new Promise((resolve) => {
          const watcher = new MutationObserver(() => {
            if (!enough()) return;
            watcher.disconnect();
            resolve();
          });
          const written = { childList: true, characterData: true };
          watcher.observe(place, { subtree: true, ...(attribute ? { attributeFilter: [attribute] } : written) });
        });
      const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));
      const shown = (): number => Number(canvas.dataset.frame);
      const result: number[] = [];
      for (let time = 0; time < times; time++) {
        const before = shown();
        let seen: Promise<void>;
        let begun = performance.now();
        if (what === 'step') {
          const back = Math.floor(time / 25) % 2 === 1;
          seen = changed(canvas, 'data-frame', () => shown() === before + (back ? -1 : 1));
          key(back ? 'ArrowLeft' : 'ArrowRight');
        } else if (what === 'next strike') {
          seen = changed(canvas, 'data-frame', () => shown() !== before);
          key(time % 40 < 20 ? 'ArrowDown' : 'ArrowUp');
        } else if (what === 'jump') {
          const wanted = (before + 397) % Number(scrubber.max);
          seen = changed(canvas, 'data-frame', () => shown() === wanted);
          scrubber.value = String(wanted);
          scrubber.dispatchEvent(new Event('input', { bubbles: true }));
        } else if (what === 'pin') {
          const walk = document.querySelector('[aria-label="The walk"]')!;
          const was = walk.textContent;
          const way = time % 2 ? 'ArrowRight' : 'ArrowLeft';
          key(way, { shiftKey: true });
          await pause(50);
          seen = changed(walk, undefined, () => walk.textContent !== was);
          begun = performance.now();
          // A point is put down where the key is let go.
          key(way, { shiftKey: true, type: 'keyup' });
        } else {
          key('q');
          await pause(20);
          const row = document.querySelector('.row.open [data-row]')!;
          const sign = (): string | null | undefined => row.querySelector('.verdict')?.getAttribute('aria-label');
          const was = sign();
          seen = changed(row, 'aria-label', () => sign() !== was);
          key(was === 'Clean' ? 'd' : 'a');
        }
        await seen;
        result.push((await painted()) - begun);
        await pause(what === 'step' ? 40 : 250);
      }
      return result;
    },
    { what, times },
  );

/** This machine is shared: what it takes to draw anything at all is told beside what the product takes. */
const emptyHanded = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const place = document.querySelector<HTMLCanvasElement>('.stage canvas')!;
    const result: number[] = [];
    for (let time = 0; time < 60; time++) {
      const begun = performance.now();
      place.title = String(time);
      result.push((await new Promise<number>((resolve) => requestAnimationFrame(() => resolve(performance.now())))) - begun);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return result;
  });

async function openBench(page: Page): Promise<void> {
  await page.goto(`/review/${await demoFilmId('maren-second-lead-side')}`);
  await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
  await page.waitForLoadState('networkidle');
}
/** At the first strike, of which all rows are shown, with a point in hand that one of them is measured by. */
async function openPin(page: Page): Promise<void> {
  await openBench(page);
  await press(page, 'ArrowDown x');
  await page.locator('[data-row="st.lean"]').click();
  await page.getByLabel('The walk').getByText(/±/).first().waitFor();
  await press(page, 'l');
  await page.getByRole('region', { name: 'Points by hand' }).waitFor();
}

const passes = 5;

async function benchBench(): Promise<void> {
  const club = await runningClub();
  // The club's own films are worked in anew when it is loaded: what is measured is the bench, and not how it shares two cores.
  await eventually(
    'the films of the club are worked in',
    () => club.db.$count(filmStep, inArray(filmStep.state, ['waiting', 'working'])),
    (left) => left === 0,
    600_000,
  );
  const page = await signedIn();
  await openBench(page);
  /** Several passes with a pause between; of their quantiles the median counts. */
  const line = async (what: string, times: () => Promise<number[]>, most: number): Promise<Line> => {
    const all: number[][] = [];
    for (let pass = 0; pass < passes; pass++) all.push(await times());
    const middle = (share: number): number => median(all, (pass) => quantile(pass, share))!;
    const p95 = middle(0.95);
    const measured = `${middle(0.5).toFixed(0)} / ${p95.toFixed(0)} ms`;
    return {
      what: `${what}, ${passes} × ${all[0]!.length} times`,
      measured,
      target: most === Infinity ? '' : `p95 ≤ ${most} ms`,
      reached: p95 <= most,
    };
  };
  const lines = [
    await line('the browser alone, drawing anything', () => emptyHanded(page), Infinity),
    await line('one frame, inside the decoded window', () => timed(page, 'step', 50), 33),
    await line('next strike', () => timed(page, 'next strike', 40), 50),
    await line('jump anywhere', () => timed(page, 'jump', 30), 120),
    await line('mark to sign', () => timed(page, 'mark', 30), 50),
  ];
  await club.whileServerIsAway(async () => {
    lines.push(await line('mark to sign, server stopped', () => timed(page, 'mark', 30), 50));
  });
  await openPin(page);
  lines.push(await line('a point moved by hand to what is measured, all rows on show', () => timed(page, 'pin', 30), 50));
  await endClub();
  print('Bench: 960 × 540 at 60 frames a second, p50 / p95 (medians of the passes)', lines);
}

const parts: Record<string, () => void | Promise<void>> = {
  bench: benchBench,
  faults: async () => print('Killed without warning', await benchFaults()),
  server: async () => print('Server', await benchServer()),
  load: async () => print('Many coaches at once', await benchLoad()),
  soak: async () => print('A day in minutes', await benchSoak()),
  import: async () => print('Import', await benchImport()),
  following: async () => print('Bodies followed', await benchFollowing()),
  measures: benchMeasures,
  'true-points': benchTruePoints,
  hits: async () => {
    print('Hits, against the truth of the simulated practice', benchHits());
    print('Hits, on recordings that were held back', await benchRecordedHits(recordings()));
    print('Talk, on recordings that were held back', benchTalk(await libraryFor('proof', recordings())));
  },
  habits: () => print('Habits, what moves before strikes', benchHabits()),
  strikes: async () => print('Strikes, found and named', benchStrikes(await libraryFor('proof', recordings()))),
  change: benchChange,
  scale: async () => print('A club of a million marks', await benchScale()),
  archive: async () => print('Archives', await benchArchive()),
  plan: () => print('Sessions planned', benchPlan()),
  'test-day': benchTestDay,
  alignment: () => print('Two microphones on one round', benchAlignment()),
};
/** Where bin/bench has put the recordings. @throws Error without them */
function recordings(): string {
  if (!process.env.WAX_RECORDINGS) throw new Error('WAX_RECORDINGS names no folder: bin/bench fetches recordings and names it.');
  return process.env.WAX_RECORDINGS;
}
const wanted = process.argv.slice(2);
for (const [name, run] of Object.entries(parts)) if (wanted.length === 0 || wanted.includes(name)) await run();
