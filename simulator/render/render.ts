import type { Seconds } from '@wax-fist/core/units';
import { spawn, type ChildProcessByStdio } from 'node:child_process';
import type { Writable } from 'node:stream';
import { once } from 'node:events';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { chromium } from 'playwright-core';
import { perform } from '../motion/performance.ts';
import type { Scene, SceneCamera } from '../scene.ts';
import { soundOfScene } from '../sound/sound.ts';
import { wavOf } from '../sound/wav.ts';
import { truthOf } from '../truth/truth.ts';
import { filmedSeconds, frameMoments, roundTime } from '../clock.ts';
import { heardBy } from '../sound/heard.ts';
import type { Style } from './page.ts';

export interface RenderOrder {
  scene: Scene;
  camera: SceneCamera;
  style: Style;
  /** Video file to write; the ending decides the container. */
  out: string;
  /** Gzipped truth file to write. */
  truth?: string;
  /** x264 quality: lower is better and larger. */
  quality?: number;
  /** FilmScene only the first so many seconds. */
  seconds?: Seconds;
  onProgress?: (done: number, total: number) => void;
}

/** Key frames near each other and frames in order, so that a player may jump to any of them: the form in which films are reviewed. */
const jumpable = ['-g', '15', '-keyint_min', '15', '-sc_threshold', '0', '-bf', '0', '-video_track_timescale', '90000'];

const here = dirname(fileURLToPath(import.meta.url));

/** Renders one scene from one camera to a video with sound and its truth. Returns milliseconds a frame. */
export async function renderFilm(order: RenderOrder): Promise<number> {
  const { scene, camera } = order;
  const performance = perform(scene);
  const length = Math.min(order.seconds ?? Infinity, filmedSeconds(camera, performance.seconds));
  const moments = frameMoments(scene, camera, length);
  const times = moments.map((own) => roundTime(camera, own));
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-film-'));
  try {
    const wav = join(folder, 'round.wav');
    await writeFile(wav, wavOf(heardBy(camera, soundOfScene(scene, performance), length)));
    // At an even rate frames are piped as they come; taken unevenly they are kept, and strung together at their own times.
    const frames = camera.uneven ? await keptFrames(folder, moments) : undefined;
    const pictures = frames
      ? ['-f', 'concat', '-safe', '0', '-i', frames.list]
      : ['-f', 'image2pipe', '-c:v', 'mjpeg', '-r', String(camera.frameRate), '-i', '-'];
    const encode = (): ChildProcessByStdio<Writable, null, null> =>
      spawn(
        'ffmpeg',
        [
          '-hide_banner',
          '-loglevel',
          'error',
          '-y',
          ...pictures,
          '-i',
          wav,
          '-t',
          length.toFixed(3),
          ...(frames ? ['-fps_mode', 'passthrough', '-enc_time_base', '-1', '-frames:v', String(moments.length)] : []),
          '-vf',
          'scale=in_range=full:out_range=tv,gblur=sigma=0.55,noise=alls=2:allf=t',
          '-c:v',
          'libx264',
          '-preset',
          'slow',
          '-crf',
          String(order.quality ?? camera.quality ?? 27),
          '-pix_fmt',
          'yuv420p',
          ...jumpable,
          '-c:a',
          'aac',
          '-b:a',
          '64k',
          '-movflags',
          '+faststart',
          order.out,
        ],
        { stdio: ['pipe', 'inherit', 'inherit'] },
      );
    let encoder = frames ? undefined : encode();
    const frameTime = await filmInBrowser(order, times, async (picture) => {
      if (frames) await frames.keep(picture);
      else if (!encoder!.stdin.write(picture)) await once(encoder!.stdin, 'drain');
    });
    encoder ??= encode();
    const finished = once(encoder, 'close');
    encoder.stdin.end();
    const [code] = (await finished) as [number];
    if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
    if (order.truth) await writeTruth(order.truth, scene, camera, length);
    return frameTime;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Writes what is true of a film without filming it. `seconds` of the camera's clock; the whole round when nothing is said. */
export async function writeTruth(file: string, scene: Scene, camera: SceneCamera, seconds?: Seconds): Promise<void> {
  const performance = perform(scene);
  const length = Math.min(seconds ?? Infinity, filmedSeconds(camera, performance.seconds));
  const truth = truthOf(scene, camera, performance, frameMoments(scene, camera, length));
  await writeFile(file, gzipSync(JSON.stringify(truth), { level: 9 }));
}

/** Frames kept as files, and the list that says how long each is shown. Seconds. */
async function keptFrames(
  folder: string,
  moments: readonly number[],
): Promise<{ list: string; keep: (picture: Buffer) => Promise<void> }> {
  const list = join(folder, 'frames.txt');
  const fileOf = (index: number): string => `frame-${index}.jpg`;
  const lasts = moments.map((moment, index) => (moments[index + 1] ?? moment + 1 / 30) - moment);
  await writeFile(
    list,
    lasts.map((seconds, index) => `file ${fileOf(index)}\noption framerate 10000\nduration ${seconds.toFixed(6)}\n`).join(''),
  );
  let next = 0;
  return { list, keep: (picture) => writeFile(join(folder, fileOf(next++)), picture) };
}

/** Draws the given moments of the round in headless Chromium; each frame arrives as a JPEG, in order. Returns milliseconds a frame. */
export type FilmScene = (
  order: Pick<RenderOrder, 'scene' | 'camera' | 'style' | 'onProgress'>,
  times: number[],
  onFrame: (picture: Buffer) => Promise<void>,
) => Promise<number>;

export const filmInBrowser: FilmScene = (...order) => inStudio((film) => film(...order));

/** Opens a browser in which several films can be made, one after the other, and closes it again. */
export async function inStudio<Result>(work: (film: FilmScene) => Promise<Result>): Promise<Result> {
  const { outputFiles } = await build({
    entryPoints: [join(here, 'page.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    logLevel: 'error',
  });
  const script = outputFiles[0]!.text;
  let take: (picture: Buffer) => Promise<void> = () => Promise.resolve();
  const server = createServer((request, response) => {
    if (request.url === '/page.js') return void response.setHeader('content-type', 'text/javascript').end(script);
    if (request.url !== '/frame')
      return void response.setHeader('content-type', 'text/html').end('<body><script src="/page.js"></script>');
    const chunks: Buffer[] = [];
    request.on('data', (chunk: Buffer) => chunks.push(chunk));
    request.on('end', () => void take(Buffer.concat(chunks)).then(() => response.end()));
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--use-gl=angle',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--disable-background-networking',
      '--disable-component-update',
    ],
  });
  try {
    const page = await browser.newPage();
    page.setDefaultTimeout(0);
    await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    return await work(({ scene, camera, style, onProgress }, times, onFrame) => {
      let done = 0;
      take = async (picture) => {
        await onFrame(picture);
        onProgress?.(++done, times.length);
      };
      return page.evaluate((wanted) => (window as unknown as { film: (order: unknown) => Promise<number> }).film(wanted), {
        scene,
        camera,
        style,
        times,
      });
    });
  } finally {
    await browser.close();
    server.close();
  }
}
