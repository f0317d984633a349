import { expect } from 'chai';
import { soundOfWave } from './index.ts';

/** A WAV file with these samples, and a chunk of notes before them. */
function wave(samples: number[], { channels = 1, claimed = samples.length * 2 } = {}): Uint8Array {
  const bytes = new Uint8Array(12 + 24 + 11 + 1 + 8 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const word = (at: number, text: string): void =>
    Array.from(text).forEach((letter, index) => (bytes[at + index] = letter.charCodeAt(0)));
  word(0, 'RIFF');
  word(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  [1, channels].forEach((value, place) => view.setUint16(20 + 2 * place, value, true));
  view.setUint32(24, 16_000, true);
  view.setUint16(34, 16, true);
  word(36, 'LIST');
  view.setUint32(40, 3, true); // An odd length is padded.
  word(48, 'data');
  view.setUint32(52, claimed, true);
  samples.forEach((sample, place) => view.setInt16(56 + 2 * place, sample, true));
  return bytes;
}

describe('a WAV file', () => {
  it('is read past other chunks, and to its end when it claims to be longer', () => {
    for (const claimed of [6, 0xffffffff]) {
      const { samples, sampleRate } = soundOfWave(wave([0, 16_384, -32_768], { claimed }));
      expect(sampleRate).to.equal(16_000);
      expect([...samples]).to.deep.equal([0, 0.5, -1]);
    }
  });
  it('that is none, or not mono, or without sound, is refused with a reason', () => {
    expect(() => soundOfWave(new TextEncoder().encode('Dear coach, this is no sound.'))).to.throw(RangeError, 'not a WAV');
    expect(() => soundOfWave(wave([1, 2], { channels: 2 }))).to.throw(RangeError, 'mono');
    expect(() => soundOfWave(wave([]).slice(0, 40))).to.throw(RangeError, 'no sound');
  });
});
