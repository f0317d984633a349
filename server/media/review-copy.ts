import { runMedia } from './program.ts';

/** Longest side of a review copy, in pixels. */
export const longestSide = 1280;

/**
 * The picture options of a review copy: upright, even-sized, at most 1280 pixels, every frame of the source at its own time
 * (passthrough: phones record at a varying rate), a key frame every 15 so that any frame is near, no B-frames.
 */
export const reviewPicture = [
  '-fps_mode',
  'passthrough',
  '-enc_time_base',
  '-1',
  '-vf',
  `scale='if(gte(iw,ih),min(${longestSide},iw),-2)':'if(gte(iw,ih),-2,min(${longestSide},ih))',scale=trunc(iw/2)*2:trunc(ih/2)*2,setsar=1`,
  '-c:v',
  'libx264',
  '-preset',
  'veryfast',
  '-crf',
  '23',
  '-profile:v',
  'high',
  '-pix_fmt',
  'yuv420p',
  '-g',
  '15',
  '-keyint_min',
  '15',
  '-sc_threshold',
  '0',
  '-bf',
  '0',
  '-movflags',
  '+faststart',
  '-video_track_timescale',
  '90000',
];

/** Sample rate of the sound that is kept for finding hits. */
export const listeningRate = 16_000;

export interface ReviewCopyOrder {
  source: string;
  film: string;
  hasSound: boolean;
  /** Milliseconds the source claims to last, for the progress. */
  duration: number;
  onProgress: (share: number) => void;
  signal?: AbortSignal;
}

/** Makes the review copy. @throws MediaFailure */
export async function makeReviewCopy({ source, film, hasSound, duration, onProgress, signal }: ReviewCopyOrder): Promise<void> {
  const sound = hasSound ? ['-map', '0:a:0', '-c:a', 'aac', '-b:a', '96k', '-ac', '1'] : ['-an'];
  await runMedia(
    'ffmpeg',
    ['-y', '-progress', 'pipe:1', '-i', source, '-map', '0:v:0', ...sound, ...reviewPicture, '-f', 'mp4', film],
    {
      signal,
      onLine: (line) => {
        const [, micros] = /^out_time_us=(\d+)/.exec(line) ?? [];
        if (micros && duration > 0) onProgress(Math.min(1, Number(micros) / 1000 / duration));
      },
    },
  );
}
