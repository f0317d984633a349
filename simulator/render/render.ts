import { spawn } from 'node:child_process';
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
import { soundOf } from '../sound/sound.ts';
import { wavOf } from '../sound/wav.ts';
import { truthOf } from '../truth.ts';
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
  /** Film only the first so many seconds. */
  seconds?: number;
  onProgress?: (done: number, total: number) => void;
}

const here = dirname(fileURLToPath(import.meta.url));

/** Renders one scene from one camera to a video with sound and its truth. Returns milliseconds a frame. */
export async function renderClip(order: RenderOrder): Promise<number> {
  const { scene, camera } = order;
  const performance = perform(scene);
  const length = Math.min(order.seconds ?? Infinity, performance.seconds);
  const times = Array.from({ length: Math.floor(length * camera.frameRate) }, (_, index) => index / camera.frameRate);
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-film-'));
  try {
    const wav = join(folder, 'round.wav');
    await writeFile(wav, wavOf(soundOf(scene, performance)));
    const size = `${camera.pictureWidth}x${camera.pictureHeight}`;
    const encoder = spawn(
      'ffmpeg',
      ['-hide_banner', '-loglevel', 'error', '-y', '-f', 'rawvideo', '-pix_fmt', 'rgba', '-s', size, '-r', String(camera.frameRate), '-i', '-',
        '-i', wav, '-t', length.toFixed(3), '-vf', 'vflip,gblur=sigma=0.55,noise=alls=2:allf=t', '-c:v', 'libx264', '-preset', 'slow', '-crf', String(order.quality ?? 27),
        '-pix_fmt', 'yuv420p', '-c:a', 'aac', '-b:a', '64k', '-movflags', '+faststart', order.out],
      { stdio: ['pipe', 'inherit', 'inherit'] },
    ); // prettier-ignore
    const finished = once(encoder, 'close');
    const frameTime = await filmInBrowser(order, times, async (pixels) => {
      if (!encoder.stdin.write(pixels)) await once(encoder.stdin, 'drain');
    });
    encoder.stdin.end();
    const [code] = (await finished) as [number];
    if (code !== 0) throw new Error(`ffmpeg ended with ${code}`);
    if (order.truth)
      await writeFile(order.truth, gzipSync(JSON.stringify(truthOf(scene, camera, performance, times)), { level: 9 }));
    return frameTime;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Draws the given moments in headless Chromium; each frame arrives as raw RGBA, bottom row first. */
export async function filmInBrowser(
  order: Pick<RenderOrder, 'scene' | 'camera' | 'style' | 'onProgress'>,
  times: number[],
  onFrame: (pixels: Buffer) => Promise<void>,
): Promise<number> {
  const { outputFiles } = await build({
    entryPoints: [join(here, 'page.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    logLevel: 'error',
  });
  const script = outputFiles[0]!.text;
  let done = 0;
  const server = createServer((request, response) => {
    if (request.url === '/page.js') return void response.setHeader('content-type', 'text/javascript').end(script);
    if (request.url !== '/frame')
      return void response.setHeader('content-type', 'text/html').end('<body><script src="/page.js"></script>');
    const chunks: Buffer[] = [];
    request.on('data', (chunk: Buffer) => chunks.push(chunk));
    request.on('end', () => {
      void onFrame(Buffer.concat(chunks)).then(() => {
        order.onProgress?.(++done, times.length);
        response.end();
      });
    });
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--disable-background-networking', '--disable-component-update'],
  }); // prettier-ignore
  try {
    const page = await browser.newPage();
    page.setDefaultTimeout(0);
    await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    return await page.evaluate((wanted) => (window as unknown as { film(order: unknown): Promise<number> }).film(wanted), {
      scene: order.scene,
      camera: order.camera,
      style: order.style,
      times,
    });
  } finally {
    await browser.close();
    server.close();
  }
}
