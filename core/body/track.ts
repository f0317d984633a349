import type { FrameIndex, Px, Ratio } from '../units.ts';
import { pointCount } from './points.ts';

/** A point of the body in one frame. */
export interface BodyPoint {
  /** Pixels of the review copy, from its upper left corner. */
  x: Px;
  y: Px;
  /** Towards the camera is negative, in pixels, from the middle of the hips. */
  depth: Px;
  /** How sure the model is that the point is seen and not hidden. */
  seen: Ratio;
}

/** What a piece of a film says of one body, frame by frame. */
export interface Track {
  /** The frame of the film with which it begins. */
  from: FrameIndex;
  /** How many frames it has. */
  frames: number;
  /** Four numbers a point (x, y, depth, seen), the points of a frame one after the other; NaN where nobody was found. */
  values: Float32Array;
}

export const numbersOfPoint = 4;
export const numbersOfFrame = pointCount * numbersOfPoint;

export const emptyTrack = (from: FrameIndex, frames: number): Track => ({
  from,
  frames,
  values: new Float32Array(frames * numbersOfFrame).fill(NaN),
});

/** A point of a frame of the film; undefined outside of the track, and where nobody was found. */
export function pointIn({ from, frames, values }: Track, frame: FrameIndex, point: number): BodyPoint | undefined {
  if (frame < from || frame >= from + frames) return undefined;
  const at = (frame - from) * numbersOfFrame + point * numbersOfPoint;
  const x = values[at]!;
  return Number.isNaN(x) ? undefined : { x, y: values[at + 1]!, depth: values[at + 2]!, seen: values[at + 3]! };
}
/** Whether somebody was found in a frame. */
export const hasBody = (track: Track, frame: FrameIndex): boolean => pointIn(track, frame, 0) !== undefined;

/** Pieces that follow each other as one, with nobody where none of them lies. */
export function joinedTrack(pieces: readonly Track[]): Track {
  if (pieces.length === 0) return emptyTrack(0, 0);
  const from = Math.min(...pieces.map((piece) => piece.from));
  const to = Math.max(...pieces.map((piece) => piece.from + piece.frames));
  const track = emptyTrack(from, to - from);
  for (const piece of pieces) track.values.set(piece.values, (piece.from - from) * numbersOfFrame);
  return track;
}

/** A track with what another one says, where that has somebody. */
export function overlaidTrack(track: Track, over: Track): Track {
  const both = { ...track, values: track.values.slice() };
  for (
    let frame = Math.max(track.from, over.from);
    frame < Math.min(track.from + track.frames, over.from + over.frames);
    frame++
  ) {
    if (!hasBody(over, frame)) continue;
    const at = (frame - over.from) * numbersOfFrame;
    both.values.set(over.values.subarray(at, at + numbersOfFrame), (frame - track.from) * numbersOfFrame);
  }
  return both;
}

/** A part of a track; a frame that it does not have has nobody in it. */
export function pieceOfTrack(track: Track, from: FrameIndex, frames: number): Track {
  const piece = emptyTrack(from, frames);
  const [first, last] = [Math.max(from, track.from), Math.min(from + frames, track.from + track.frames)];
  if (first >= last) return piece;
  const values = track.values.subarray((first - track.from) * numbersOfFrame, (last - track.from) * numbersOfFrame);
  piece.values.set(values, (first - from) * numbersOfFrame);
  return piece;
}

/** Bytes of a point as it is kept: three numbers of two bytes, and one byte. */
const bytesOfPoint = 7;
/** Bytes of a packed frame. */
export const packedFrame = pointCount * bytesOfPoint;
/** Kept in so many parts of a pixel. */
const parts = 16;
const nobody = -32_768;

/** A track as bytes, seven a point: x, y and depth in sixteenths of a pixel, little-endian, and how far it is seen in 255 parts. */
export function packTrack({ frames, values }: Track): Uint8Array {
  const bytes = new DataView(new ArrayBuffer(frames * pointCount * bytesOfPoint));
  for (let point = 0; point < frames * pointCount; point++) {
    const [x, y, depth, seen] = values.subarray(point * numbersOfPoint, (point + 1) * numbersOfPoint) as unknown as number[];
    const kept = (value: number): number =>
      Number.isNaN(value) ? nobody : Math.max(-32_767, Math.min(32_767, Math.round(value * parts)));
    bytes.setInt16(point * bytesOfPoint, kept(x!), true);
    bytes.setInt16(point * bytesOfPoint + 2, kept(y!), true);
    bytes.setInt16(point * bytesOfPoint + 4, kept(depth!), true);
    bytes.setUint8(point * bytesOfPoint + 6, Number.isNaN(seen) ? 0 : Math.round(seen! * 255));
  }
  return new Uint8Array(bytes.buffer);
}

/** A packed piece with what another one says of the frames that both have. */
export function withPacked(
  piece: { from: FrameIndex; packed: Uint8Array },
  other: { from: FrameIndex; packed: Uint8Array },
): Uint8Array {
  const bytesOfFrame = pointCount * bytesOfPoint;
  const into = piece.packed.slice();
  const before = Math.max(0, piece.from - other.from) * bytesOfFrame;
  const at = Math.max(0, other.from - piece.from) * bytesOfFrame;
  into.set(other.packed.subarray(before, Math.max(before, before + into.length - at)), Math.min(at, into.length));
  return into;
}

/** Packed pieces as one, for so many frames, with nobody where none of them lies. */
export function joinPacked(pieces: readonly { from: FrameIndex; packed: Uint8Array }[], frames: number): Uint8Array {
  const bytesOfFrame = pointCount * bytesOfPoint;
  const whole = packTrack(emptyTrack(0, frames));
  for (const { from, packed } of pieces) whole.set(packed.subarray(0, (frames - from) * bytesOfFrame), from * bytesOfFrame);
  return whole;
}

/** @throws RangeError when the bytes are not a whole number of frames. */
export function unpackTrack(from: FrameIndex, packed: Uint8Array): Track {
  const frames = packed.byteLength / (pointCount * bytesOfPoint);
  if (!Number.isInteger(frames)) throw new RangeError('These bytes are not a track of points.');
  const bytes = new DataView(packed.buffer, packed.byteOffset, packed.byteLength);
  const track = emptyTrack(from, frames);
  for (let point = 0; point < frames * pointCount; point++) {
    const x = bytes.getInt16(point * bytesOfPoint, true);
    if (x === nobody) continue;
    const at = point * numbersOfPoint;
    track.values[at] = x / parts;
    track.values[at + 1] = bytes.getInt16(point * bytesOfPoint + 2, true) / parts;
    track.values[at + 2] = bytes.getInt16(point * bytesOfPoint + 4, true) / parts;
    track.values[at + 3] = bytes.getUint8(point * bytesOfPoint + 6) / 255;
  }
  return track;
}
