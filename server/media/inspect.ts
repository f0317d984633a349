import type { Ms, Px } from '@wax-fist/core/units';
import { reading, runMedia } from './program.ts';
import { listeningRate, monoFilter } from './review-copy.ts';

/**
 * Presentation times of the pictures of a film in milliseconds, as they stand in the file, in order of showing. Nothing is decoded;
 * pictures that an edit list cuts away are left out.
 */
export async function frameTimes(film: string, signal?: AbortSignal): Promise<Ms[]> {
  const times: Ms[] = [];
  await runMedia(
    'ffprobe',
    ['-select_streams', 'V:0', '-of', 'csv=p=0', '-show_entries', 'packet=pts_time,flags', ...reading(film)],
    {
      signal,
      onLine: (line) => {
        const [time = '', flags = ''] = line.split(',');
        const seconds = Number.parseFloat(time);
        if (Number.isFinite(seconds) && !flags.includes('D')) times.push(seconds * 1000);
      },
    },
  );
  return times.sort((a, b) => a - b);
}

/**
 * When frames are shown, in milliseconds, of any film: decoded, so that what an edit list cuts away is not counted.
 * @param most no more frames than this
 */
export async function shownTimes(film: string, most?: number): Promise<Ms[]> {
  const interval = most === undefined ? [] : ['-read_intervals', `%+#${most}`];
  const times: Ms[] = [];
  const words = ['-select_streams', 'V:0', '-of', 'csv=p=0', '-show_entries', 'frame=best_effort_timestamp_time'];
  await runMedia('ffprobe', [...interval, ...words, ...reading(film)], {
    onLine: (line) => {
      const seconds = Number.parseFloat(line);
      if (Number.isFinite(seconds)) times.push(seconds * 1000);
    },
  });
  return times.sort((a, b) => a - b);
}

/** Width and height of the picture in pixels. */
export async function pictureSize(film: string): Promise<{ width: number; height: number }> {
  let text = '';
  const words = ['-select_streams', 'V:0', '-show_entries', 'stream=width,height', '-of', 'csv=p=0', ...reading(film)];
  await runMedia('ffprobe', words, { onLine: (line) => (text += line) });
  const [width = 0, height = 0] = text.split(',').map(Number);
  return { width, height };
}

/** Pictures in a film strip. */
export const stripPictures = 48;
export const stripHeight = 54;

/** One row of small pictures, evenly over the film, from key frames only (fast, and near enough for a strip). */
export async function makeFilmStrip(film: string, strip: string, duration: Ms, signal?: AbortSignal): Promise<void> {
  const every = duration / 1000 / stripPictures;
  const tiled = `fps=fps=${1 / every}:round=up:start_time=0,scale=-2:${stripHeight},tpad=stop_mode=clone:stop=${stripPictures},tile=${stripPictures}x1`;
  const picture = ['-map', '0:V:0', '-vf', tiled, '-frames:v', '1', '-q:v', '5', '-f', 'image2', strip];
  await runMedia('ffmpeg', ['-y', '-skip_frame', 'nokey', ...reading(film), ...picture], { signal });
}

/** A span of a film's sound, in milliseconds of the file. */
export interface SoundSpan {
  /** When the first frame is shown. */
  from: Ms;
  /** When the last one has been shown; open where nobody counted. */
  to?: Ms;
  channels: number;
}

/**
 * The sound of a film as it is listened to: mono, 16 kHz, 16 bit, from the first frame to the last. Where the sound begins later than
 * the picture, silence stands before it; sound that only begins after the picture is none.
 */
export async function writeSound(
  film: string,
  wave: string,
  { from, to, channels }: SoundSpan,
  signal?: AbortSignal,
): Promise<void> {
  const end = to === undefined ? '' : `atrim=end=${to / 1000},`;
  const filters = `${end}${await monoFilter(film, channels)},aresample=async=1:first_pts=0,atrim=start=${from / 1000}`;
  const form = ['-ar', String(listeningRate), '-c:a', 'pcm_s16le', '-f', 'wav', wave];
  await runMedia('ffmpeg', ['-y', ...reading(film), '-map', '0:a:0', '-af', filters, ...form], { signal });
}

/** The size at which pictures are wanted. */
interface PictureSize {
  width: Px;
  height: Px;
}
/** A piece of a film: from which time of its own clock, in milliseconds, how many frames, and at which size. */
export interface Piece extends PictureSize {
  from: Ms;
  frames: number;
}

interface RawPictures extends PictureSize {
  /** Bytes of a pixel, by what they tell. */
  form: 'gray' | 'rgb24';
  /** What is told of the film before it is opened, and of its pictures after. */
  before?: readonly string[];
  after?: readonly string[];
  signal: AbortSignal | undefined;
}
/** The pictures of a film as bytes, row by row, each in the same place: the next one comes when the one before has been dealt with. */
async function eachRawPicture(
  film: string,
  { width, height, form, before = [], after = [], signal }: RawPictures,
  onPicture: (bytes: Uint8Array) => void | Promise<void>,
): Promise<void> {
  const picture = new Uint8Array(width * height * (form === 'gray' ? 1 : 3));
  let filled = 0;
  await runMedia(
    'ffmpeg',
    [
      ...before,
      ...reading(film),
      ...['-map', '0:V:0', ...after, '-fps_mode', 'passthrough'],
      ...['-vf', `scale=${width}:${height}:flags=area,format=${form}`, '-f', 'rawvideo', '-'],
    ],
    {
      signal,
      onBytes: async (chunk) => {
        for (let at = 0; at < chunk.length;) {
          const taken = Math.min(chunk.length - at, picture.length - filled);
          picture.set(chunk.subarray(at, at + taken), filled);
          [at, filled] = [at + taken, filled + taken];
          if (filled < picture.length) continue;
          filled = 0;
          await onPicture(picture);
        }
      },
    },
  );
}

/** The pictures of a piece of a film in colour, one after the other in the same bytes. */
export const eachColourPicture = (
  film: string,
  { from, frames, ...size }: Piece,
  onPicture: (rgb: Uint8Array) => Promise<void>,
  signal?: AbortSignal,
): Promise<void> => {
  const before = ['-seek_timestamp', '1', '-ss', String(from / 1000)];
  return eachRawPicture(film, { ...size, form: 'rgb24', before, after: ['-frames:v', String(frames)], signal }, onPicture);
};

/** Each picture's brightness, `width` × `height`, row by row, in order of showing. */
export const eachPicture = (
  film: string,
  size: PictureSize,
  onPicture: (brightness: Uint8Array) => void,
  signal?: AbortSignal,
): Promise<void> => eachRawPicture(film, { ...size, form: 'gray', signal }, (picture) => onPicture(picture.slice()));
