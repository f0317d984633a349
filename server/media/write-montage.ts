import type { Ms, Px } from '@wax-fist/core/units';
import { mkdir, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { reading, runMedia } from './program.ts';

/** A strike as a piece of a montage. */
export interface MontageCut {
  /** Path of its film. */
  film: string;
  /** A little before its first frame is shown, on the film’s own clock. */
  from: Ms;
  frames: number;
  /** Place of the contact among them. */
  contact: number;
  /** What stands above: which of how many, when. */
  heading: string;
  /** What stands below. */
  cue: string;
}

const [width, height]: readonly [Px, Px] = [1280, 720];
const rate = 30;
/** How long the contact stands still. */
const still: Ms = 800;
const font = createRequire(import.meta.url).resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf');

const quoted = (text: string): string => `'${text.replaceAll("'", String.raw`'\''`)}'`;
/** A line of text in a dark bar; from a file, so that no letter of it means anything to the filters. */
const bar = (file: string, y: string, size: Px): string =>
  `drawtext=fontfile=${quoted(font)}:textfile=${quoted(file)}:expansion=none:fontsize=${size}:fontcolor=white:box=1:boxcolor=black@0.6:boxborderw=14:x=28:y=${y}`;

/** One strike at its speed, then at half of it with a stand at contact. */
async function writePiece(folder: string, place: number, cut: MontageCut, signal?: AbortSignal): Promise<string> {
  const { film, from, frames, contact, heading, cue } = cut;
  const [out, headingFile, cueFile] = [`${place}.mp4`, `${place}.heading`, `${place}.cue`].map((name) => join(folder, name));
  await writeFile(headingFile!, heading);
  await writeFile(cueFile!, cue);
  const fitted = `scale=${width}:${height}:force_original_aspect_ratio=decrease,pad=${width}:${height}:(ow-iw)/2:(oh-ih)/2,setsar=1`;
  const slowly = `setpts=2*(PTS-STARTPTS),fps=${rate}`;
  const texts = [bar(headingFile!, '28', 30), ...(cue ? [bar(cueFile!, 'h-text_h-44', 44)] : [])].join(',');
  // Each part reads the film for itself: parts of one reading would last until the longest of them ends.
  const filters = [
    `[0:v:0]trim=end_frame=${frames},setpts=PTS-STARTPTS,${fitted},fps=${rate}[one]`,
    `[1:v:0]trim=end_frame=${contact + 1},${fitted},${slowly},tpad=stop_mode=clone:stop_duration=${still / 1000}[two]`,
    `[2:v:0]trim=start_frame=${contact}:end_frame=${frames},${fitted},${slowly}[three]`,
    `[one][two][three]concat=n=3:v=1,${texts},format=yuv420p[out]`,
  ].join(';');
  const opened = ['-seek_timestamp', '1', '-ss', String(from / 1000), ...reading(film)];
  await runMedia(
    'ffmpeg',
    [
      ...['-y', ...opened, ...opened, ...opened],
      ...['-filter_complex', filters, '-map', '[out]', '-an', '-r', String(rate), '-c:v', 'libx264', '-preset', 'veryfast'],
      ...['-crf', '21', '-video_track_timescale', '15360', out!],
    ],
    { signal },
  );
  return out!;
}

/** Writes a montage as mp4. @param folder for what lies there meanwhile @param told gets the share that is done */
export async function writeMontage(
  cuts: readonly MontageCut[],
  folder: string,
  out: string,
  told: (share: number) => void,
  signal?: AbortSignal,
): Promise<void> {
  await mkdir(folder, { recursive: true });
  const pieces: string[] = [];
  for (const [place, cut] of cuts.entries()) {
    pieces.push(await writePiece(folder, place, cut, signal));
    told((place + 1) / (cuts.length + 1));
  }
  const list = join(folder, 'list');
  await writeFile(list, pieces.map((piece) => `file ${quoted(piece)}\n`).join(''));
  await runMedia('ffmpeg', ['-y', '-f', 'concat', '-safe', '0', '-i', list, '-c', 'copy', '-movflags', '+faststart', out], {
    signal,
  });
}
