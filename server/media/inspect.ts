import { runMedia } from './program.ts';
import { listeningRate } from './review-copy.ts';

/** Presentation times of all frames of a review copy in milliseconds, as they stand in the file, in order of showing. */
export function frameTimes(film: string): Promise<number[]> {
  return readTimes(['-show_entries', 'packet=pts_time', film]);
}

async function readTimes(words: string[]): Promise<number[]> {
  const times: number[] = [];
  await runMedia('ffprobe', ['-select_streams', 'v:0', '-of', 'csv=p=0', ...words], {
    onLine: (line) => {
      const seconds = Number.parseFloat(line);
      if (Number.isFinite(seconds)) times.push(seconds * 1000);
    },
  });
  return times.sort((a, b) => a - b);
}

/**
 * When frames are shown, in milliseconds, of any film: decoded, so that what an edit list cuts away is not counted.
 * @param most no more frames than this
 */
export function shownTimes(film: string, most?: number): Promise<number[]> {
  const interval = most === undefined ? [] : ['-read_intervals', `%+#${most}`];
  return readTimes([...interval, '-show_entries', 'frame=best_effort_timestamp_time', film]);
}

/** Width and height of the picture in pixels. */
export async function pictureSize(film: string): Promise<{ width: number; height: number }> {
  let text = '';
  await runMedia('ffprobe', ['-select_streams', 'v:0', '-show_entries', 'stream=width,height', '-of', 'csv=p=0', film], {
    onLine: (line) => (text += line),
  });
  const [width = 0, height = 0] = text.split(',').map(Number);
  return { width, height };
}

/** Pictures in a film strip. */
export const stripPictures = 48;
export const stripHeight = 54;

/** One row of small pictures, evenly over the film, from key frames only (fast, and near enough for a strip). */
export async function makeFilmStrip(film: string, strip: string, duration: number): Promise<void> {
  const every = duration / 1000 / stripPictures;
  await runMedia('ffmpeg', [
    '-y',
    '-skip_frame',
    'nokey',
    '-i',
    film,
    '-map',
    '0:v:0',
    '-vf',
    `fps=fps=${1 / every}:round=up:start_time=0,scale=-2:${stripHeight},tpad=stop_mode=clone:stop=${stripPictures},tile=${stripPictures}x1`,
    '-frames:v',
    '1',
    '-q:v',
    '5',
    '-f',
    'image2',
    strip,
  ]);
}

/**
 * The sound of a film as it is listened to: mono, 16 kHz, 16 bit, from the first frame on (`firstFrameAt` milliseconds into the
 * file). Where the sound begins later than the picture, silence stands before it.
 */
export async function writeSound(film: string, wave: string, firstFrameAt: number, signal?: AbortSignal): Promise<void> {
  await runMedia(
    'ffmpeg',
    [
      '-y',
      '-i',
      film,
      '-map',
      '0:a:0',
      '-af',
      `aresample=async=1:first_pts=0,atrim=start=${firstFrameAt / 1000}`,
      '-ac',
      '1',
      '-ar',
      String(listeningRate),
      '-c:a',
      'pcm_s16le',
      '-f',
      'wav',
      wave,
    ],
    { signal },
  );
}

/** Each picture's brightness, `width` × `height`, row by row, in order of showing. */
export async function eachPicture(
  film: string,
  { width, height }: { width: number; height: number },
  onPicture: (brightness: Uint8Array) => void,
  signal?: AbortSignal,
): Promise<void> {
  const bytes = width * height;
  let rest = Buffer.alloc(0);
  await runMedia(
    'ffmpeg',
    [
      '-i',
      film,
      '-map',
      '0:v:0',
      '-fps_mode',
      'passthrough',
      '-vf',
      `scale=${width}:${height}:flags=area,format=gray`,
      '-f',
      'rawvideo',
      '-',
    ],
    {
      signal,
      onBytes: (chunk) => {
        rest = Buffer.concat([rest, chunk]);
        let from = 0;
        for (; from + bytes <= rest.length; from += bytes) onPicture(Uint8Array.prototype.slice.call(rest, from, from + bytes));
        rest = rest.subarray(from);
      },
    },
  );
}
