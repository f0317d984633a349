import { execFile } from 'node:child_process';
import { readFile, truncate, writeFile } from 'node:fs/promises';
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

/** A film that is odd and can be played all the same: how it has to be worked in, where it differs from what it seems. */
export interface OddFilm {
  make: Maker;
  size?: readonly [width: number, height: number];
  hasSound?: boolean;
  frames?: number | readonly [from: number, to: number];
  /** What is said of it; nothing of a film that is whole. */
  remark?: RegExp;
}

/** Writes over part of a file, `from` and `length` in shares of it. */
async function spoiled(path: string, from: number, length: number): Promise<void> {
  const bytes = await readFile(path);
  const [first, last] = [from, from + length].map((share) => Math.round(share * bytes.length)) as [number, number];
  for (let at = first; at < last; at++) bytes[at] = (at * 7919) % 251;
  await writeFile(path, bytes);
}
/** The same name of four letters, wherever it stands, becomes another. */
async function renamed(path: string, from: string, to: string): Promise<void> {
  const text = (await readFile(path)).toString('latin1').replaceAll(from, to);
  await writeFile(path, Buffer.from(text, 'latin1'));
}
/** Two channels that say the opposite of each other. */
const opposite = ['-f', 'lavfi', '-i', "aevalsrc='0.5*sin(600*t)|-0.5*sin(600*t)':d=2:s=44100"];

export const oddFilms: Record<string, OddFilm> = {
  'stretched.mp4': { make: (path) => ffmpeg(...pattern(1, '240x240'), '-vf', 'setsar=2', ...h264, path), size: [480, 240] },
  'cover-first.mkv': {
    make: async (path) => {
      await ffmpeg(...pattern(1, '64x64'), '-frames:v', '1', `${path}.png`);
      await ffmpeg(...pattern(1), ...h264, `${path}.film.mp4`);
      const both = ['-i', `${path}.png`, '-i', `${path}.film.mp4`, '-map', '0', '-map', '1', '-c', 'copy'];
      await ffmpeg(...both, '-disposition:v:0', 'attached_pic', '-f', 'mp4', path);
    },
    size: [320, 240],
    frames: 30,
  },
  'long-sound.mp4': { make: (path) => ffmpeg(...pattern(1), ...beeps(6), ...h264, '-c:a', 'aac', path), hasSound: true },
  'late-picture.mkv': {
    make: (path) => ffmpeg(...beeps(6), '-itsoffset', '3', ...pattern(3), '-map', '0', '-map', '1', ...h264, '-c:a', 'aac', path),
    hasSound: true,
    frames: 90,
  },
  'strange-sound.mp4': {
    make: async (path) => {
      await ffmpeg(...pattern(1), ...beeps(1), ...h264, '-c:a', 'aac', path);
      await renamed(path, 'mp4a', 'zzzz');
      await renamed(path, 'esds', 'zsds');
    },
    hasSound: false,
    remark: /sound is in a form that cannot be read/,
    frames: 30,
  },
  'opposite-sides.mp4': {
    make: (path) => ffmpeg(...pattern(2), ...opposite, ...h264, '-c:a', 'aac', '-ac', '2', path),
    hasSound: true,
  },
  'bright.mp4': {
    make: (path) =>
      ffmpeg(
        ...['-f', 'lavfi', '-i', 'color=c=gray:s=320x240:r=30:d=1', '-c:v', 'libx265', '-pix_fmt', 'yuv420p10le'],
        ...['-x265-params', 'log-level=none:transfer=smpte2084:colorprim=bt2020:colormatrix=bt2020nc', '-tag:v', 'hvc1', path],
      ),
    frames: 30,
  },
  'two-sizes.ts': {
    make: async (path) => {
      const part = (name: string, size: string) => ffmpeg(...pattern(1, size), ...h264, '-f', 'mpegts', `${path}.${name}`);
      await part('a', '320x240');
      await ffmpeg(...pattern(1, '640x360'), ...h264, '-output_ts_offset', '1', '-f', 'mpegts', `${path}.b`);
      await writeFile(path, Buffer.concat([await readFile(`${path}.a`), await readFile(`${path}.b`)]));
    },
    size: [320, 240],
    frames: [58, 60],
  },
  'hurt-inside.mp4': {
    make: async (path) => {
      await ffmpeg(...pattern(4), ...h264, '-g', '30', path);
      await spoiled(path, 0.45, 0.1);
    },
    remark: /damaged/,
  },
  'crowded.mp4': {
    make: (path) =>
      ffmpeg(
        ...[...pattern(2), '-vf', "settb=1/90000,setpts='3000*N-if(mod(N,10),0,2960)*gt(N,0)'", '-fps_mode', 'passthrough'],
        ...['-enc_time_base', '1:90000', ...h264, '-bf', '0', '-video_track_timescale', '90000', path],
      ),
    frames: 55,
    remark: /5 of 60 pictures are left out/,
  },
  'sound-of-tomorrow.mkv': {
    make: (path) =>
      ffmpeg(...pattern(1), '-itsoffset', '60000', ...beeps(1), '-map', '0', '-map', '1', ...h264, '-c:a', 'aac', path),
    frames: 30,
  },
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
  'playlist.mp4': {
    make: async (path) => {
      await ffmpeg(...pattern(2), ...h264, '-f', 'mpegts', `${path}.secret.ts`);
      await writeFile(path, `#EXTM3U\n#EXT-X-TARGETDURATION:2\n#EXTINF:2,\n${path}.secret.ts\n#EXT-X-ENDLIST\n`);
    },
    reason: /not a video/,
  },
  'endless.mp4': {
    make: (path) => writeFile(path, `#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXT-X-MEDIA-SEQUENCE:1\n#EXTINF:1,\nendless.mp4\n`),
    reason: /not a video/,
  },
  'list.mp4': { make: (path) => writeFile(path, "ffconcat version 1.0\nfile '/etc/hostname'\n"), reason: /not a video/ },
  'animated.gif': { make: (path) => ffmpeg(...pattern(1), path), reason: /animated picture/ },
  'thin.mp4': { make: (path) => ffmpeg(...pattern(1, '640x20'), ...h264, path), reason: /too narrow/ },
  'vast.mov': {
    make: (path) => ffmpeg('-f', 'lavfi', '-i', 'color=s=9000x6000:r=2:d=1', '-c:v', 'png', '-compression_level', '1', path),
    reason: /larger than any film|not a video/,
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
