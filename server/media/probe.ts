import { open, stat } from 'node:fs/promises';
import { MediaFailure, runMedia } from './program.ts';

/** What a file turned out to be. */
export interface Probe {
  container: string;
  /** Milliseconds, as the file claims. */
  duration: number;
  hasSound: boolean;
  width: number;
  height: number;
}

/** A file that cannot be reviewed, with the reason in words. */
export class NotFootage extends Error {}

interface RawStream {
  codec_type: string;
  codec_name?: string;
  width?: number;
  height?: number;
  duration?: string;
  nb_frames?: string;
  disposition?: { attached_pic?: number };
}

const stillCodecs = new Set(['mjpeg', 'png', 'gif', 'bmp', 'webp', 'tiff', 'ansi']);
const stillContainers = /image2|_pipe|^gif$|^tty$/;

/** Whether the first box of the file is that of an mp4 or mov; some cameras write the index last and begin with free space. */
async function beginsLikeFilm(path: string): Promise<boolean> {
  const file = await open(path);
  const { buffer } = await file.read(Buffer.alloc(8), 0, 8, 0).finally(() => file.close());
  return ['ftyp', 'free', 'wide', 'mdat', 'skip'].includes(buffer.toString('latin1', 4));
}

/** Looks into a file. @throws NotFootage when it is not a film that can be played. */
export async function probe(path: string): Promise<Probe> {
  const there = await stat(path).catch(() => undefined);
  if (!there?.isFile()) throw new NotFootage('There is no such file.');
  if (there.size === 0) throw new NotFootage('The file is empty (0 bytes). Copy it from the phone again.');
  let text = '';
  try {
    await runMedia('ffprobe', ['-show_format', '-show_streams', '-of', 'json', path], { onLine: (line) => (text += line) });
  } catch (error) {
    if (!(error instanceof MediaFailure)) throw error;
    if (error.said.includes('moov atom not found') && (await beginsLikeFilm(path))) {
      throw new NotFootage('The file is cut short: its index is missing, so it cannot be played. Copy it from the phone again.');
    }
    throw new NotFootage('This is not a video, whatever its name says.');
  }
  const { streams = [], format = {} } = JSON.parse(text) as {
    streams?: RawStream[];
    format?: { format_name?: string; duration?: string };
  };
  const container = format.format_name ?? '';
  const pictures = streams.filter((stream) => stream.codec_type === 'video' && !stream.disposition?.attached_pic);
  const [picture] = pictures;
  const hasSound = streams.some((stream) => stream.codec_type === 'audio');
  if (!picture && hasSound) throw new NotFootage('This file has sound but no picture.');
  if (!picture?.width || !picture.height) throw new NotFootage('This is not a video, whatever its name says.');
  const still = stillContainers.test(container) || picture.nb_frames === '1';
  if (still || (stillCodecs.has(picture.codec_name ?? '') && !format.duration)) {
    throw new NotFootage('This file holds a single picture. A strike needs frames before and after it.');
  }
  const duration = Number(format.duration ?? picture.duration ?? 0) * 1000;
  return { container, duration, hasSound, width: picture.width, height: picture.height };
}
