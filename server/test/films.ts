import { execFile } from 'node:child_process';
import { truncate, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);
export const ffmpeg = (...words: string[]): Promise<unknown> =>
  run('ffmpeg', ['-hide_banner', '-loglevel', 'error', '-y', ...words]);

const pattern = (seconds: number, size = '320x240', rate = 30): string[] => [
  '-f',
  'lavfi',
  '-i',
  `testsrc2=s=${size}:r=${rate}:d=${seconds}`,
];
const beeps = (seconds: number): string[] => ['-f', 'lavfi', '-i', `sine=f=880:d=${seconds}`];
const h264 = ['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p'];
/** A phone's rate: frames late, frames early, now and then a hole. */
export const phoneRate = "settb=1/90000,setpts='if(eq(N,0),0,PREV_OUTPTS+3000+if(mod(N,7),0,2700)-if(mod(N,5),0,1400))'";

/** Makes a film, or something that pretends to be one, at this path. */
export type Maker = (path: string) => Promise<unknown>;

/** What can be played, by file name. */
export const goodFilms: Record<string, Maker> = {
  'phone.mp4': (path) => ffmpeg(...pattern(2), ...beeps(2), ...h264, '-c:a', 'aac', path),
  'variable.mp4': (path) =>
    ffmpeg(...pattern(2), '-vf', phoneRate, '-fps_mode', 'passthrough', '-enc_time_base', '1:90000', ...h264, path),
  'bframes.mp4': (path) =>
    ffmpeg(...pattern(2), ...beeps(2), '-c:v', 'libx264', '-bf', '3', '-pix_fmt', 'yuv420p', '-c:a', 'aac', path),
  'fast.mov': (path) => ffmpeg(...pattern(1, '320x240', 120), ...h264, path),
  'portrait.mp4': async (path) => {
    await ffmpeg(...pattern(1), ...h264, `${path}.flat.mp4`);
    await ffmpeg('-i', `${path}.flat.mp4`, '-c', 'copy', '-metadata:s:v:0', 'rotate=90', path);
  },
  'odd.mkv': (path) => ffmpeg(...pattern(1, '321x241'), '-c:v', 'ffv1', path),
  'web.webm': (path) => ffmpeg(...pattern(1), ...beeps(1), '-c:v', 'libvpx', '-c:a', 'libopus', path),
  'old.avi': (path) => ffmpeg(...pattern(1), '-c:v', 'mpeg4', path),
  'deep.mp4': (path) =>
    ffmpeg(...pattern(1), '-c:v', 'libx265', '-x265-params', 'log-level=none', '-pix_fmt', 'yuv420p10le', path),
  'interlaced.mp4': (path) => ffmpeg(...pattern(1), '-c:v', 'libx264', '-flags', '+ildct+ilme', '-pix_fmt', 'yuv420p', path),
  'upright.mp4': (path) => ffmpeg(...pattern(1, '240x320'), ...h264, path),
  'broadcast.ts': (path) => ffmpeg(...pattern(2), ...beeps(2), ...h264, '-bf', '2', '-c:a', 'aac', '-f', 'mpegts', path),
  'pictures.avi': (path) => ffmpeg(...pattern(1), ...beeps(1), '-c:v', 'mjpeg', '-c:a', 'pcm_s16le', path),
  'newer-web.webm': (path) =>
    ffmpeg(...pattern(1), ...beeps(1), '-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-c:a', 'libopus', path),
  'newest.mp4': (path) => ffmpeg(...pattern(1), '-c:v', 'libaom-av1', '-cpu-used', '8', '-usage', 'realtime', path),
  'edited.mp4': async (path) => {
    await ffmpeg(...pattern(3), ...beeps(3), ...h264, '-g', '30', '-c:a', 'aac', `${path}.whole.mp4`);
    await ffmpeg('-ss', '1.4', '-i', `${path}.whole.mp4`, '-c', 'copy', path);
  },
  'before-zero.mp4': async (path) => {
    await ffmpeg(...pattern(2), ...h264, `${path}.plain.mp4`);
    await ffmpeg(
      '-itsoffset',
      '-0.7',
      '-i',
      `${path}.plain.mp4`,
      '-c',
      'copy',
      '-avoid_negative_ts',
      'disabled',
      '-movflags',
      '+negative_cts_offsets',
      path,
    );
  },
  'no-times.avi': (path) => ffmpeg(...pattern(2), '-c:v', 'libx264', '-bf', '2', '-pix_fmt', 'yuv420p', path),
  'slow-motion.mp4': (path) => ffmpeg(...pattern(1, '320x240', 240), ...h264, path),
  'gap.mp4': (path) =>
    ffmpeg(...pattern(2), '-vf', 'setpts=PTS+if(gte(N\\,30)\\,5/TB\\,0)', '-fps_mode', 'passthrough', ...h264, path),
  'silent.mov': (path) => ffmpeg(...pattern(1), ...h264, path),
  'three-hours.mp4': (path) => ffmpeg(...pattern(10_800, '64x48', 0.1), ...h264, path),
  'huge.mp4': (path) => ffmpeg(...pattern(0.2, '7680x4320'), ...h264, path),
  'tiny.mp4': (path) => ffmpeg(...pattern(1, '16x16'), ...h264, path),
};

/** What cannot, with a word of the reason that must be given. */
export const badFilms: Record<string, { make: Maker; reason: RegExp }> = {
  'text.mp4': { make: (path) => writeFile(path, 'Dear coach, this is no film.\n'.repeat(200)), reason: /not a video/ },
  'noise.mp4': {
    make: (path) => writeFile(path, Buffer.from(Array.from({ length: 20_000 }, (_, n) => (n * 7919 + (n >> 3)) % 256))),
    reason: /not a video/,
  },
  'sound.mp4': { make: (path) => ffmpeg(...beeps(1), '-c:a', 'aac', path), reason: /sound but no picture/ },
  'one-frame.mp4': { make: (path) => ffmpeg(...pattern(1), '-frames:v', '1', ...h264, path), reason: /single picture/ },
  'huge-still.mp4': {
    make: (path) => ffmpeg(...pattern(1, '7680x4320'), '-frames:v', '1', ...h264, path),
    reason: /single picture/,
  },
  'picture.mp4': {
    make: (path) => ffmpeg(...pattern(1), '-frames:v', '1', '-f', 'image2', '-c:v', 'png', path),
    reason: /single picture/,
  },
  'index-missing.mp4': {
    make: async (path) => {
      await ffmpeg(...pattern(2), ...h264, path);
      await truncate(path, 20_000);
    },
    reason: /cut short/,
  },
};

/** Blows heard every 0.8 seconds from the second second on, after as long a wait; `phase` makes them come otherwise. */
export const blows = (seconds: number, wait: number, path: string, phase = 'mod(t,0.8)'): Promise<unknown> =>
  ffmpeg(
    ...pattern(seconds, '160x120'),
    '-itsoffset',
    String(wait),
    '-f',
    'lavfi',
    '-i',
    `aevalsrc='0.9*(random(0)-0.5)*exp(-60*${phase})*gte(t,1.6)':d=${seconds - wait}:s=48000`,
    ...h264,
    '-c:a',
    'aac',
    path,
  );

/** A film whose index is at the front and whose end is missing: what is there can still be used. */
export const brokenOff: Maker = async (path) => {
  await ffmpeg(...pattern(6), ...h264, '-g', '15', '-movflags', '+faststart', path);
  await truncate(path, 150_000);
};

/** Presentation times of the frames that a player would show, in milliseconds. */
export async function timesShown(path: string): Promise<number[]> {
  const words = [
    '-v',
    'error',
    '-select_streams',
    'v:0',
    '-show_entries',
    'frame=best_effort_timestamp_time',
    '-of',
    'csv=p=0',
    path,
  ];
  const { stdout } = await run('ffprobe', words);
  return stdout
    .split('\n')
    .filter(Boolean)
    .map((line) => Number.parseFloat(line) * 1000);
}

/** A folder’s film by its name, made at first need. */
export async function made(folder: string, name: string, make: Maker): Promise<string> {
  const path = join(folder, name);
  await make(path);
  return path;
}
