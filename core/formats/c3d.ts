import { pointIn, pointNames, type Track } from '../body/index.ts';
import { timeOf, type FrameTimeline } from '../film/index.ts';
import type { FrameIndex, Px } from '../units.ts';

/** Everything in such a file comes in blocks of so many bytes. */
const block = 512;
/** Marks a C3D file, and little-endian numbers as of Intel. */
const [key, intel] = [0x50, 84];
/** Most frames that the two-byte fields can count; the parameters tell the true number. */
const mostInWord = 65_535;

type Value = { type: 'text'; rows: readonly string[] } | { type: 'words' | 'floats'; values: readonly number[] };
interface Parameter {
  name: string;
  value: Value;
}

/** Letters of a name, one byte each. */
const letters = (text: string): number[] => Array.from(text, (letter) => letter.charCodeAt(0));
const word = (value: number): number[] => [value & 0xff, (value >> 8) & 0xff];
function float(value: number): number[] {
  const bytes = new DataView(new ArrayBuffer(4));
  bytes.setFloat32(0, value, true);
  return [0, 1, 2, 3].map((at) => bytes.getUint8(at));
}

/** A group, or a parameter of one, as the parameter section has it: what it is, how far the next one is, what it holds, no description. */
function record(name: string, group: number, holds: readonly number[]): number[] {
  const rest = [...holds, 0];
  return [name.length, group & 0xff, ...letters(name), ...word(rest.length + 2), ...rest];
}
function held(value: Value): number[] {
  if (value.type === 'text') {
    const wide = Math.max(1, ...value.rows.map((row) => row.length));
    const dimensions = value.rows.length === 1 ? [wide] : [wide, value.rows.length];
    return [0xff, dimensions.length, ...dimensions, ...value.rows.flatMap((row) => letters(row.padEnd(wide)))];
  }
  const dimensions = value.values.length === 1 ? [] : [value.values.length];
  const bytes = value.type === 'words' ? word : float;
  return [bytes(0).length, dimensions.length, ...dimensions, ...value.values.flatMap(bytes)];
}

const groups = (
  frames: number,
  rate: number,
  dataBlock: number,
): readonly [group: string, parameters: readonly Parameter[]][] => [
  [
    'POINT',
    [
      { name: 'USED', value: { type: 'words', values: [pointNames.length] } },
      { name: 'FRAMES', value: { type: 'words', values: [Math.min(frames, mostInWord)] } },
      { name: 'LONG_FRAMES', value: { type: 'floats', values: [frames] } },
      { name: 'DATA_START', value: { type: 'words', values: [dataBlock] } },
      // Below zero: the data are floating-point numbers.
      { name: 'SCALE', value: { type: 'floats', values: [-1] } },
      { name: 'RATE', value: { type: 'floats', values: [rate] } },
      { name: 'UNITS', value: { type: 'text', rows: ['px'] } },
      { name: 'LABELS', value: { type: 'text', rows: pointNames } },
      { name: 'X_SCREEN', value: { type: 'text', rows: ['+X'] } },
      { name: 'Y_SCREEN', value: { type: 'text', rows: ['+Z'] } },
    ],
  ],
  [
    'ANALOG',
    [
      { name: 'USED', value: { type: 'words', values: [0] } },
      { name: 'RATE', value: { type: 'floats', values: [rate] } },
    ],
  ],
  [
    'TRIAL',
    [
      { name: 'ACTUAL_START_FIELD', value: { type: 'words', values: [1, 0] } },
      { name: 'ACTUAL_END_FIELD', value: { type: 'words', values: [frames & 0xffff, frames >> 16] } },
    ],
  ],
];

/** The section of parameters, filled up to whole blocks. @returns and of how many blocks it is */
function parameterSection(frames: number, rate: number): Uint8Array {
  const written = (dataBlock: number): number[] =>
    groups(frames, rate, dataBlock).flatMap(([group, parameters], place) => [
      ...record(group, -(place + 1), []),
      ...parameters.flatMap(({ name, value }) => record(name, place + 1, held(value))),
    ]);
  // Two zeros after the last one end the list.
  const blocks = Math.ceil((4 + written(0).length + 2) / block);
  const section = new Uint8Array(blocks * block);
  section.set([1, key, blocks, intel, ...written(2 + blocks)]);
  return section;
}

/** What a point is where nobody was found. */
const missing = [0, 0, 0, -1] as const;

/**
 * Where the body was in every frame, as C3D, the open binary form of biomechanics (C3D file format, user guide of 2008): floating-point
 * pixels with x to the right of the picture, y away from the camera, z up from its lower edge; residual −1 where nobody was found. C3D
 * knows one frame rate: that of the film on average.
 */
export function c3dOf(track: Track, timeline: FrameTimeline, picture: { height: Px }): Uint8Array {
  const frames = timeline.length;
  const lasts = frames > 1 ? timeOf(timeline, frames - 1) - timeOf(timeline, 0) : 0;
  const rate = lasts > 0 ? ((frames - 1) * 1000) / lasts : 1;
  const section = parameterSection(frames, rate);
  const dataBlock = 2 + section.length / block;
  const bytesOfFrame = pointNames.length * 4 * 4;
  const bytes = new Uint8Array((dataBlock - 1) * block + Math.ceil((frames * bytesOfFrame) / block) * block);
  const view = new DataView(bytes.buffer);
  bytes.set([2, key]);
  const header = [pointNames.length, 0, 1, Math.min(frames, mostInWord), 0];
  for (const [place, value] of header.entries()) view.setUint16(2 + 2 * place, value, true);
  view.setFloat32(12, -1, true);
  view.setUint16(16, dataBlock, true);
  view.setFloat32(20, rate, true);
  bytes.set(section, block);
  for (let frame: FrameIndex = 0; frame < frames; frame++)
    for (const [point] of pointNames.entries()) {
      const found = pointIn(track, frame, point);
      const values = found ? [found.x, found.depth, picture.height - found.y, 0] : missing;
      const at = (dataBlock - 1) * block + frame * bytesOfFrame + point * 16;
      for (const [axis, value] of values.entries()) view.setFloat32(at + 4 * axis, value, true);
    }
  return bytes;
}
