import type { Ms, Px } from '@wax-fist/core/units';
import { reading, runMedia } from './program.ts';

/** A part of a picture, in pixels. */
interface Part {
  x: Px;
  y: Px;
  width: Px;
  height: Px;
}

/** One frame of a film, or a part of it, as a JPEG. @param at a little before it is shown, on the film’s own clock @param height of what is wanted */
export async function frameJpeg(film: string, at: Ms, { x, y, width, height }: Part, wanted: Px): Promise<Buffer> {
  const pieces: Buffer[] = [];
  const [cut, scaled] = [[width, height, x, y].map(Math.round).join(':'), `-2:${wanted}:flags=lanczos`];
  await runMedia(
    'ffmpeg',
    [
      ...['-seek_timestamp', '1', '-ss', String(at / 1000)],
      ...reading(film),
      ...[
        '-map',
        '0:V:0',
        '-frames:v',
        '1',
        '-vf',
        `crop=${cut},scale=${scaled}`,
        '-q:v',
        '3',
        '-c:v',
        'mjpeg',
        '-f',
        'image2pipe',
        '-',
      ],
    ],
    { onBytes: (chunk) => void pieces.push(chunk) },
  );
  return Buffer.concat(pieces);
}
