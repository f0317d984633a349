import { packTrack, unpackTrack, type Track } from '@wax-fist/core/body';
import { pointsDocument, trackOfPoints, type PointsDocument } from '@wax-fist/core/formats';
import { readFile, writeFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { poseVersion, type FilmToWatch } from '../server/pose/film-points.ts';
import type { PoseSize } from '../server/pose/pose-size.ts';
import { BadFile } from './media-file.ts';

type FilmOfPoints = Pick<FilmToWatch, 'path' | 'timeline' | 'width' | 'height'>;

/** The points of a film as JSON, see `docs/points.md`. */
export const documentOf = (track: Track, { path, timeline, width, height }: FilmOfPoints, model: PoseSize): PointsDocument =>
  pointsDocument(track, timeline, { film: basename(path), model, width, height });

/** As they are packed, in an eighth of the room. */
type PackedPoints = Pick<PointsDocument, 'format' | 'width' | 'height'> & {
  version: number;
  model: PoseSize;
  frames: number;
  /** See `packTrack`, in base64. */
  packed: string;
};

/** Writes points of a film to a file: packed where its name ends in .gz, as JSON otherwise. */
export function writePoints(path: string, track: Track, film: FilmOfPoints, model: PoseSize): Promise<void> {
  if (!path.endsWith('.gz')) return writeFile(path, JSON.stringify(documentOf(track, film, model)));
  const packed = Buffer.from(packTrack(track)).toString('base64');
  const { width, height } = film;
  const { frames } = track;
  const file: PackedPoints = { format: 'wax-fist-points', version: poseVersion, model, width, height, frames, packed };
  return writeFile(path, gzipSync(JSON.stringify(file), { level: 9 }));
}

/** What a file says; undefined where that is nothing of points. */
function readDocument(bytes: Buffer): unknown {
  try {
    return JSON.parse((bytes[0] === firstOfGzip ? gunzipSync(bytes) : bytes).toString());
  } catch {
    return undefined;
  }
}
const firstOfGzip = 0x1f;

function trackIn(bytes: Buffer, { width, height }: FilmOfPoints): Track | undefined {
  const said = readDocument(bytes) as Partial<PackedPoints> | undefined;
  if (typeof said?.packed !== 'string') return trackOfPoints(said, width);
  const isReadable = said.version === poseVersion && said.width === width && said.height === height;
  return isReadable ? unpackTrack(0, Buffer.from(said.packed, 'base64')) : undefined;
}

/**
 * Points of a film as `writePoints` has written them, or as they were taken along: those lie in the picture of its review copy, which
 * may be smaller. @throws BadFile for what are none, or another film’s
 */
export async function readPoints(path: string, film: FilmOfPoints): Promise<Track> {
  const bytes = await readFile(path).catch(() => {
    throw new BadFile(`There is no file “${path}”.`);
  });
  const track = trackIn(bytes, film);
  if (!track) throw new BadFile(`“${path}” holds no points of this film that bin/wax pose of this version has written.`);
  if (track.frames !== film.timeline.length)
    throw new BadFile(`“${path}” holds the points of ${track.frames} frames, and this film has ${film.timeline.length}.`);
  return track;
}
