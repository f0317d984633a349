import { reading, runMedia } from './program.ts';

/** A film strip, or another still picture, as red, green and blue, row by row. @throws MediaFailure */
export async function picturePixels(path: string): Promise<Uint8Array> {
  const parts: Buffer[] = [];
  const words = [...reading(path), '-frames:v', '1', '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-'];
  await runMedia('ffmpeg', words, { onBytes: (bytes) => void parts.push(Buffer.from(bytes)) });
  return Buffer.concat(parts);
}
