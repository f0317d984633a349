import type { Ms, Px, Ratio } from '@wax-fist/core/units';
import type { Picture, Probe } from './probe.ts';
import { reading, runMedia } from './program.ts';

/** Longest side of a review copy. */
export const longestSide: Px = 1280;

/** Pictures nearer to each other than this cannot be told apart by any player. */
export const leastApart: Ms = 1;

/** Size of the review copy: the longer side at most `longestSide`, both even. */
export function reviewSize({ width, height }: Picture): { width: Px; height: Px } {
  const shrunk = Math.min(1, longestSide / Math.max(width, height));
  const even = (side: Px): Px => Math.max(2, 2 * Math.round((side * shrunk) / 2));
  return { width: even(width), height: even(height) };
}

/** From a high dynamic range to what any screen shows; what the file does not say of its colours is what phones mean. */
const toneMapped = (curve: string): string =>
  `zscale=tin=${curve}:min=bt2020nc:pin=bt2020:t=linear:npl=100,format=gbrpf32le,zscale=p=bt709,tonemap=hable:desat=0,` +
  'zscale=t=bt709:m=bt709:r=tv,format=yuv420p';

/**
 * The picture of a review copy: upright, of one size from end to end however it changes on the way, with square pixels, whole frames
 * and usual colours. A frame that is not shown for as long as `leastApart`, or whose time goes back, is left out.
 */
export function reviewFilters(picture: Picture): string {
  const { width, height } = reviewSize(picture);
  return [
    `select='isnan(prev_selected_t)+gte(t-prev_selected_t,${leastApart / 1000})'`,
    ...(picture.interlaced ? ['bwdif=mode=send_frame'] : []),
    "scale='max(2,trunc(iw*sar/2)*2)':ih,setsar=1",
    `scale=${width}:${height}:force_original_aspect_ratio=decrease,pad=${width}:${height}:(ow-iw)/2:(oh-ih)/2,setsar=1`,
    ...(picture.highRange ? [toneMapped(picture.highRange)] : []),
  ].join(',');
}

/** How much work goes into making a review copy small: the last takes a third of the time of the first, and four times the room. */
export const encodings = ['veryfast', 'superfast', 'ultrafast'] as const;
export type Encoding = (typeof encodings)[number];

/**
 * How a review copy is encoded: every frame of the source at its own time (passthrough: phones record at a varying rate), a key frame
 * every 15 so that any frame is near, no B-frames.
 */
export const reviewEncoding = (encoding: Encoding = 'veryfast'): string[] => [
  ...['-fps_mode', 'passthrough', '-enc_time_base', '-1'],
  ...['-c:v', 'libx264', '-preset', encoding, '-crf', '23', '-profile:v', 'high', '-pix_fmt', 'yuv420p'],
  ...['-g', '15', '-keyint_min', '15', '-sc_threshold', '0', '-bf', '0'],
  ...['-movflags', '+faststart', '-video_track_timescale', '90000'],
];

/** Sample rate of the sound that is kept for finding hits. */
export const listeningRate = 16_000;

/** So much of a sound is enough to tell how its channels stand to each other. */
const phaseSpan: Ms = 120_000;
/** Channels whose difference is so much louder than their sum take each other away when they are added. */
const oppositeFrom: Ratio = 8;

/** How the sound of a film becomes one channel: a filter. Two channels in opposite phase are taken from each other, not added. */
export async function monoFilter(source: string, channels: number): Promise<string> {
  if (channels !== 2) return 'aformat=channel_layouts=mono';
  let [added, taken] = [0, 0];
  let odd = Buffer.alloc(0);
  const words = ['-t', String(phaseSpan / 1000), ...reading(source), '-map', '0:a:0', '-ar', '8000', '-f', 's16le', '-'];
  await runMedia('ffmpeg', words, {
    onBytes: (chunk) => {
      const bytes = Buffer.concat([odd, chunk]);
      const whole = bytes.length - (bytes.length % 4);
      for (let at = 0; at < whole; at += 4) {
        const [left, right] = [bytes.readInt16LE(at), bytes.readInt16LE(at + 2)];
        added += (left + right) ** 2;
        taken += (left - right) ** 2;
      }
      odd = bytes.subarray(whole);
    },
  });
  return taken > oppositeFrom * added ? 'pan=mono|c0=0.5*c0-0.5*c1' : 'aformat=channel_layouts=mono';
}

export interface ReviewCopyOrder {
  source: string;
  film: string;
  found: Probe;
  /** When the picture ends, as counted; sound beyond it is left out. */
  pictureEnd: Ms;
  /** Leave the sound out. */
  silent: boolean;
  encoding?: Encoding;
  onProgress: (share: Ratio) => void;
  signal?: AbortSignal;
}

/** Encoding takes so much longer than the film at the very most, and so long besides. */
const [slowest, besides]: [number, Ms] = [40, 10 * 60_000];
/** Sound that goes on after the last picture, as cameras leave it. */
const soundAfter: Ms = 2000;

/** Makes the review copy. @returns what the decoder complained about @throws MediaFailure, BrokenOff */
export async function makeReviewCopy(order: ReviewCopyOrder): Promise<string> {
  const { source, film, found, pictureEnd, silent, encoding, onProgress, signal } = order;
  const hasSound = found.channels > 0 && !silent;
  const until = (pictureEnd + soundAfter) / 1000;
  const sound = hasSound
    ? ['-map', '0:a:0', '-af', `atrim=end=${until},${await monoFilter(source, found.channels)}`, '-c:a', 'aac', '-b:a', '96k']
    : ['-an'];
  const words = ['-y', '-progress', 'pipe:1', ...reading(source), '-map', '0:V:0', '-vf', reviewFilters(found.picture)];
  return runMedia('ffmpeg', [...words, ...sound, ...reviewEncoding(encoding), '-f', 'mp4', film], {
    signal,
    within: besides + slowest * pictureEnd,
    onLine: (line) => {
      const [, micros] = /^out_time_us=(\d+)/.exec(line) ?? [];
      if (micros && pictureEnd > 0) onProgress(Math.min(1, Number(micros) / 1000 / pictureEnd));
    },
  });
}
