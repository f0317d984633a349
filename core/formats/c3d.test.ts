import { expect } from 'chai';
import fc from 'fast-check';
import { emptyTrack, numbersOfFrame, pointNames } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import { c3dOf } from './index.ts';

/** A reader after the written description of the format, which shares nothing with the writer. */
function readC3d(bytes: Uint8Array) {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const word = (at: number): number => view.getUint16(at, true);
  const text = (at: number, length: number): string => String.fromCharCode(...bytes.subarray(at, at + length));
  const section = (bytes[0]! - 1) * 512;
  const names = new Map<number, string>();
  const parameters = new Map<string, number | number[] | string[]>();
  for (let at = section + 4; bytes[at] !== 0;) {
    const length = Math.abs(view.getInt8(at));
    const group = view.getInt8(at + 1);
    const name = text(at + 2, length);
    const offset = at + 2 + length;
    if (group < 0) names.set(-group, name);
    else {
      const type = view.getInt8(offset + 2);
      const count = bytes[offset + 3]!;
      const dimensions = [...bytes.subarray(offset + 4, offset + 4 + count)];
      const data = offset + 4 + count;
      const [wide, ...more] = dimensions;
      const many = (type === -1 ? more : dimensions).reduce((product, one) => product * one, 1);
      const read: Record<number, (place: number) => number | string> = {
        [-1]: (place) => text(data + place * wide!, wide!).trimEnd(),
        2: (place) => view.getInt16(data + 2 * place, true),
        4: (place) => view.getFloat32(data + 4 * place, true),
      };
      const values = Array.from({ length: many }, (_, place) => read[type]!(place));
      parameters.set(`${names.get(group)}:${name}`, (count === 0 ? values[0] : values) as number | number[] | string[]);
    }
    at = offset + word(offset);
  }
  const [points, first, last, scale, start, rate] = [
    word(2),
    word(6),
    word(8),
    view.getFloat32(12, true),
    word(16),
    view.getFloat32(20, true),
  ];
  const frames = Array.from({ length: last - first + 1 }, (_, frame) =>
    Array.from({ length: points }, (__, point) =>
      [0, 1, 2, 3].map((axis) => view.getFloat32((start - 1) * 512 + ((frame * points + point) * 4 + axis) * 4, true)),
    ),
  );
  return {
    key: bytes[1],
    parameters,
    parameterKey: bytes[section + 1],
    processor: bytes[section + 3],
    points,
    scale,
    rate,
    start,
    frames,
  };
}

describe('points as C3D', () => {
  const place = fc.integer({ min: -20_000, max: 20_000 }).map((sixteenths) => sixteenths / 16);
  const film = fc.integer({ min: 1, max: 40 }).chain((frames) =>
    fc.record({
      frames: fc.constant(frames),
      rate: fc.constantFrom(24, 30, 59.94, 120, 240),
      nobody: fc.nat(frames - 1),
      values: fc.array(place, { minLength: frames * numbersOfFrame, maxLength: frames * numbersOfFrame }),
    }),
  );

  it('come back from their file: every point of every frame, up for up, and nobody as missing', () => {
    fc.assert(
      fc.property(film, ({ frames, rate, nobody, values }) => {
        const track = emptyTrack(0, frames);
        track.values.set(values);
        track.values.fill(NaN, nobody * numbersOfFrame, (nobody + 1) * numbersOfFrame);
        const timeline = timelineOf(Array.from({ length: frames }, (_, frame) => (frame * 1000) / rate));
        const bytes = c3dOf(track, timeline, { height: 720 });
        expect(bytes.length % 512).to.equal(0);
        const read = readC3d(bytes);
        expect([read.key, read.parameterKey, read.processor, read.scale]).to.deep.equal([0x50, 0x50, 84, -1]);
        expect(read.frames).to.have.length(frames);
        if (frames > 1) expect(read.rate).to.be.closeTo(rate, 0.01);
        for (const [frame, points] of read.frames.entries())
          for (const [point, [x, y, z, residual]] of points.entries()) {
            const at = frame * numbersOfFrame + point * 4;
            if (frame === nobody) expect([x, y, z, residual]).to.deep.equal([0, 0, 0, -1]);
            else expect([x, y, z, residual]).to.deep.equal([values[at], values[at + 2], 720 - values[at + 1]!, 0]);
          }
      }),
      { numRuns: 25 },
    );
  });

  it('say what they are: names, unit, rate, how many, and where they begin', () => {
    const bytes = c3dOf(emptyTrack(0, 3), timelineOf([0, 20, 40]), { height: 720 });
    const { parameters, points, start } = readC3d(bytes);
    expect(points).to.equal(pointNames.length);
    expect(parameters.get('POINT:LABELS')).to.deep.equal(pointNames);
    expect(parameters.get('POINT:UNITS')).to.deep.equal(['px']);
    expect(parameters.get('POINT:RATE')).to.equal(50);
    expect(parameters.get('POINT:USED')).to.equal(pointNames.length);
    expect(parameters.get('POINT:FRAMES')).to.equal(3);
    expect(parameters.get('POINT:DATA_START')).to.equal(start);
    expect(parameters.get('ANALOG:USED')).to.equal(0);
    expect(parameters.get('TRIAL:ACTUAL_END_FIELD')).to.deep.equal([3, 0]);
  });
});
