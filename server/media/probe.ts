import type { Ms, Px } from '@wax-fist/core/units';
import { open, stat } from 'node:fs/promises';
import { MediaFailure, mostPixels, OverLimit, reading, runMedia } from './program.ts';

/** The picture of a film, as it is stored and as it is meant to be seen. */
export interface Picture {
  /** Pixels as they are seen: stretched by their aspect, turned upright. */
  width: Px;
  height: Px;
  interlaced: boolean;
  /** The curve of a high dynamic range; undefined for what any screen shows. */
  highRange: 'smpte2084' | 'arib-std-b67' | undefined;
}

/** What a file turned out to be. */
export interface Probe {
  container: string;
  /** How long the file claims to last, with picture and sound; 0 when it claims nothing. */
  duration: Ms;
  /** How long its picture claims to last, whatever its sound does. */
  pictureLasts: Ms | undefined;
  picture: Picture;
  /** Channels of its sound; 0 without any that can be read. */
  channels: number;
  /** There is sound, in a form that cannot be read. */
  unreadableSound: boolean;
}

/** A file that cannot be reviewed, with the reason in words. */
export class NotFootage extends Error {}

interface RawStream {
  codec_type: string;
  codec_name?: string;
  width?: number;
  height?: number;
  sample_aspect_ratio?: string;
  field_order?: string;
  color_transfer?: string;
  channels?: number;
  duration?: string;
  start_time?: string;
  tags?: { DURATION?: string };
  nb_frames?: string;
  disposition?: { attached_pic?: number };
  side_data_list?: { rotation?: number }[];
}

const stillCodecs = new Set(['mjpeg', 'png', 'gif', 'bmp', 'webp', 'tiff', 'ansi']);
const stillContainers = /image2|_pipe|^gif$|^apng$|^tty$/;
const animations = /^(gif|apng)$/;
/** A picture narrower than this, or so much longer than wide, shows nobody. */
const [leastSide, mostStretched]: [Px, number] = [16, 20];
/** To look into a file takes no longer. */
const probedWithin: Ms = 60_000;

/** Whether the first box of the file is that of an mp4 or mov; some cameras write the index last and begin with free space. */
async function beginsLikeFilm(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer } = await file.read(Buffer.alloc(8), 0, 8, 0);
    return ['ftyp', 'free', 'wide', 'mdat', 'skip'].includes(buffer.toString('latin1', 4));
  } finally {
    await file.close();
  }
}

const notVideo = 'This is not a video, whatever its name says.';

/** Looks into a file. @throws NotFootage when it is not a film that can be played. */
export async function probe(path: string): Promise<Probe> {
  const there = await stat(path).catch(() => undefined);
  if (!there?.isFile()) throw new NotFootage('There is no such file.');
  if (there.size === 0) throw new NotFootage('The file is empty (0 bytes). Copy it from the phone again.');
  let text = '';
  try {
    const words = ['-show_format', '-show_streams', '-of', 'json', ...reading(path)];
    await runMedia('ffprobe', words, { onLine: (line) => (text += line), within: probedWithin });
  } catch (error) {
    if (error instanceof OverLimit) throw new NotFootage('This file keeps its reader busy without end. It is not used.');
    if (!(error instanceof MediaFailure)) throw error;
    if (error.said.includes('moov atom not found') && (await beginsLikeFilm(path))) {
      throw new NotFootage('The file is cut short: its index is missing, so it cannot be played. Copy it from the phone again.');
    }
    throw new NotFootage(notVideo);
  }
  const { streams = [], format = {} } = JSON.parse(text) as {
    streams?: RawStream[];
    format?: { format_name?: string; duration?: string };
  };
  const container = format.format_name ?? '';
  const seen = streams.find((stream) => stream.codec_type === 'video' && !stream.disposition?.attached_pic);
  const heard = streams.find((stream) => stream.codec_type === 'audio');
  if (!seen && heard) throw new NotFootage('This file has sound but no picture.');
  if (!seen?.width || !seen.height) throw new NotFootage(notVideo);
  if (animations.test(container))
    throw new NotFootage('This is an animated picture, not a film. Choose the film that it was made from.');
  const still = stillContainers.test(container) || seen.nb_frames === '1';
  if (still || (stillCodecs.has(seen.codec_name ?? '') && !format.duration)) {
    throw new NotFootage('This file holds a single picture. A strike needs frames before and after it.');
  }
  const readable = isKnown(heard?.codec_name) && (heard?.channels ?? 0) > 0;
  return {
    container,
    duration: Number(format.duration ?? seen.duration ?? 0) * 1000,
    pictureLasts: lastsOf(seen) ?? (heard || !format.duration ? undefined : Number(format.duration) * 1000),
    picture: pictureOf(seen),
    channels: readable ? heard!.channels! : 0,
    unreadableSound: heard !== undefined && !readable,
  };
}

/** Some containers tell only when it ends, as hours, minutes and seconds. */
function lastsOf({ duration, start_time: start = '0', tags }: RawStream): Ms | undefined {
  if (duration !== undefined) return Number(duration) * 1000;
  const [, hours, minutes, seconds] = /^(\d+):(\d\d):([\d.]+)$/.exec(tags?.DURATION ?? '') ?? [];
  return hours === undefined ? undefined : (Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds) - Number(start)) * 1000;
}

const isKnown = (codec: string | undefined): boolean => codec !== undefined && codec !== 'unknown' && codec !== 'none';

/** @throws NotFootage when nobody could be seen in it */
function pictureOf(stream: RawStream): Picture {
  const [across = 1, down = 1] = (stream.sample_aspect_ratio ?? '1:1').split(':').map(Number);
  const stretched = across > 0 && down > 0 ? (stream.width! * across) / down : stream.width!;
  const sides: [Px, Px] = [Math.max(1, Math.round(stretched)), stream.height!];
  const turned = Math.abs(stream.side_data_list?.find((data) => data.rotation !== undefined)?.rotation ?? 0) % 180 === 90;
  const [width, height] = turned ? (sides.toReversed() as [Px, Px]) : sides;
  const [short, long] = [Math.min(width, height), Math.max(width, height)];
  if (stream.width! * stream.height! > mostPixels)
    throw new NotFootage(`A picture of ${stream.width} × ${stream.height} pixels is larger than any film that can be read here.`);
  if (short < leastSide || long / short > mostStretched)
    throw new NotFootage(`A picture of ${width} × ${height} pixels is too narrow to see anybody in it.`);
  const { color_transfer: curve } = stream;
  return {
    width,
    height,
    interlaced: ['tt', 'bb', 'tb', 'bt'].includes(stream.field_order ?? ''),
    highRange: curve === 'smpte2084' || curve === 'arib-std-b67' ? curve : undefined,
  };
}

/** Channels of the sound of any file; 0 without any. */
export async function channelsOf(path: string): Promise<number> {
  let channels = '';
  const words = ['-select_streams', 'a:0', '-show_entries', 'stream=channels', '-of', 'csv=p=0', ...reading(path)];
  await runMedia('ffprobe', words, { onLine: (line) => (channels ||= line), within: probedWithin });
  return Number.parseInt(channels, 10) || 0;
}
