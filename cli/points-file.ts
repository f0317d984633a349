import { packTrack, unpackTrack, type Track } from '@wax-fist/core/body';
import { pointsDocument, trackOfPoints } from '@wax-fist/core/formats';
import { readFile, writeFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { poseVersion, type FilmToWatch } from '../server/pose/film-points.ts';
import type { PoseSize } from '../server/pose/pose-size.ts';
import { BadFile } from './media-file.ts';

/** A film with its points as JSON, see `docs/points.md`. */
export const pointsOf = (track: Track, film: FilmToWatch, model: PoseSize) =>
  pointsDocument(track, film.timeline, { film: basename(film.path), model, width: film.width, height: film.height });

/** As they are packed: an eighth of the size. */
interface PackedPoints {
  format: 'wax-fist-points';
  version: number;
  model: PoseSize;
  frames: number;
  packed: string;
}

/** Writes points of a film to a file: packed where its name ends in .gz, as JSON otherwise. */
export function writePoints(path: string, track: Track, film: FilmToWatch, model: PoseSize): Promise<void> {
  if (!path.endsWith('.gz')) return writeFile(path, JSON.stringify(pointsOf(track, film, model)));
  const packed = Buffer.from(packTrack(track)).toString('base64');
  const file: PackedPoints = { format: 'wax-fist-points', version: poseVersion, model, frames: track.frames, packed };
  return writeFile(path, gzipSync(JSON.stringify(file), { level: 9 }));
}

function trackIn(bytes: Buffer): Track | undefined {
  try {
    if (bytes[0] !== firstOfGzip) return trackOfPoints(JSON.parse(bytes.toString()));
    const { format, version, packed } = JSON.parse(gunzipSync(bytes).toString()) as Partial<PackedPoints>;
    const isReadable = format === 'wax-fist-points' && version === poseVersion && packed !== undefined;
    return isReadable ? unpackTrack(0, Buffer.from(packed, 'base64')) : undefined;
  } catch {
    return undefined;
  }
}
const firstOfGzip = 0x1f;

/** Points of a film as `writePoints` has written them. @throws BadFile for what are none, or another film’s */
export async function readPoints(path: string, { timeline }: Pick<FilmToWatch, 'timeline'>): Promise<Track> {
  const bytes = await readFile(path).catch(() => {
    throw new BadFile(`There is no file “${path}”.`);
  });
  const track = trackIn(bytes);
  if (!track) throw new BadFile(`“${path}” holds no points that bin/wax pose of this version has written.`);
  if (track.frames !== timeline.length)
    throw new BadFile(`“${path}” holds the points of ${track.frames} frames, and this film has ${timeline.length}.`);
  return track;
}
