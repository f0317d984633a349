import type { Page } from 'playwright-core';
import { ffmpeg, phoneRate } from '../server/test/films.ts';

export const frames = 240;
const [width, height, block, row] = [640, 360, 40, 40];

/** Filters that write the frame's number into its upper edge: 16 blocks, black for 0, and the inverse below as a check. */
const numbered = Array.from({ length: 16 }, (_, bit) => {
  const box = (y: number, colour: string) => `drawbox=x=${bit * block}:y=${y}:w=${block}:h=${row}:color=${colour}:t=fill`;
  const set = `:enable='mod(floor(n/${1 << bit}),2)'`;
  return [box(0, 'black'), box(0, 'white') + set, box(row, 'white'), box(row, 'black') + set].join(',');
}).join(',');

const timing = (rate: number): string => `settb=1/90000,setpts=N*${90_000 / rate}`;

/** Films whose pictures tell their own number, in the ways that phones record. */
export const numberedFilms: Record<string, (path: string) => Promise<unknown>> = {
  'constant-30.mp4': (path) => film(path, timing(30), ['-bf', '2', '-g', '250']),
  'constant-60.mp4': (path) => film(path, timing(60), []),
  'slow-motion-120.mp4': (path) => film(path, timing(120), ['-g', '60']),
  'variable.mp4': (path) => film(path, phoneRate, ['-bf', '2', '-g', '90']),
  'rotated.mp4': async (path) => {
    await film(`${path}.flat.mp4`, `${timing(30)},transpose=2`, []);
    await ffmpeg('-i', `${path}.flat.mp4`, '-c', 'copy', '-metadata:s:v:0', 'rotate=270', path);
  },
};

function film(path: string, filter: string, coding: string[]): Promise<unknown> {
  const source = `testsrc2=s=${width}x${height}:r=30,noise=alls=6:allf=t,${numbered},${filter}`;
  const picture = [
    '-fps_mode',
    'passthrough',
    '-enc_time_base',
    '1:90000',
    '-c:v',
    'libx264',
    '-preset',
    'veryfast',
    '-pix_fmt',
    'yuv420p',
    ...coding,
  ];
  return ffmpeg(
    '-f',
    'lavfi',
    '-i',
    source,
    '-f',
    'lavfi',
    '-i',
    'sine=f=440',
    '-frames:v',
    String(frames),
    ...picture,
    '-c:a',
    'aac',
    '-shortest',
    path,
  );
}

export interface Access {
  wanted: number;
  /** Read out of the drawn picture; −1 when its check does not hold. */
  read: number;
  milliseconds: number;
}

/** What a page can do with a picture that tells its own number. */
interface Reader {
  /** The number in it; −1 when its check does not hold. */
  numberIn: (canvas: HTMLCanvasElement) => number;
  /** Waits until this frame is drawn in it. */
  drawn: (canvas: HTMLCanvasElement, frame: number) => Promise<void>;
  press: (key: string) => void;
}
declare global {
  interface Window {
    reader: Reader;
  }
}

const withReader = (page: Page): Promise<void> =>
  page.evaluate(
    ({ block, row }) => {
      window.reader = {
        numberIn(canvas) {
          const { data, width } = canvas.getContext('2d')!.getImageData(0, 0, 16 * block, 2 * row);
          const light = (bit: number, y: number): boolean => data[4 * (y * width + bit * block + block / 2)]! > 127;
          let value = 0;
          for (let bit = 0; bit < 16; bit++) {
            if (light(bit, row / 2) === light(bit, row * 1.5)) return -1;
            if (light(bit, row / 2)) value += 1 << bit;
          }
          return value;
        },
        drawn: (canvas, frame) =>
          new Promise((resolve, reject) => {
            const shown = (): number => Number(canvas.dataset.frame);
            const late = setTimeout(() => reject(new Error(`frame ${frame} was not drawn; ${shown()} is`)), 20_000);
            const look = (): void => {
              if (shown() !== frame) return;
              clearTimeout(late);
              watcher.disconnect();
              resolve();
            };
            const watcher = new MutationObserver(look);
            watcher.observe(canvas, { attributes: true, attributeFilter: ['data-frame'] });
            look();
          }),
        press: (key) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })),
      };
    },
    { block, row },
  );

/** Goes through frames the way a coach does, by scrubber or by arrow keys, and reads the number out of each drawn picture. */
export async function access(page: Page, wanted: number[], how: 'scrubber' | 'keys'): Promise<Access[]> {
  await withReader(page);
  return page.evaluate(
    async ({ wanted, how }) => {
      const { numberIn, drawn, press } = window.reader;
      const canvas = document.querySelector<HTMLCanvasElement>('.stage canvas')!;
      const scrubber = document.querySelector<HTMLInputElement>('input[aria-label="Place in the film"]')!;
      const result = [];
      for (const frame of wanted) {
        const begun = performance.now();
        if (how === 'scrubber') {
          scrubber.value = String(frame);
          scrubber.dispatchEvent(new Event('input', { bubbles: true }));
        } else {
          const apart = frame - Number(canvas.dataset.frame);
          for (let step = 0; step < Math.abs(apart); step++) press(apart > 0 ? 'ArrowRight' : 'ArrowLeft');
        }
        await drawn(canvas, frame);
        const milliseconds = performance.now() - begun;
        result.push({ wanted: frame, read: numberIn(canvas), milliseconds });
      }
      return result;
    },
    { wanted, how },
  );
}

/** Steps through two films that are held against each other by these keys, and reads both numbers after each step. */
export async function accessBoth(page: Page, keys: readonly string[]): Promise<Access[]> {
  await withReader(page);
  return page.evaluate(async (all) => {
    const { numberIn, drawn, press } = window.reader;
    const canvases = [...document.querySelectorAll<HTMLCanvasElement>('.stage canvas')];
    const result = [];
    for (const key of all) {
      const begun = performance.now();
      press(key);
      await new Promise(requestAnimationFrame);
      const told = /frames (\d+) and (\d+)/.exec(document.querySelector('.where')!.textContent)!;
      for (const [place, canvas] of canvases.entries()) {
        const wanted = Number(told[place + 1]);
        await drawn(canvas, wanted);
        result.push({ wanted, read: numberIn(canvas), milliseconds: performance.now() - begun });
      }
    }
    return result;
  }, keys);
}
