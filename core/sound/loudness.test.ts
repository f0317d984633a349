import { expect } from 'chai';
import fc from 'fast-check';
import { loudnessAround, loudnessOf } from './index.ts';

describe('loudness', () => {
  const rate = 16_000;
  const tone = (amplitude: number, samples: number) => Float32Array.from({ length: samples }, (_, n) => amplitude * Math.sin(n));

  it('is 0 for silence, 255 at full scale, and −30 dB lies in the middle', () => {
    expect(loudnessOf(new Float32Array(1600), rate)).to.deep.equal(new Uint8Array(10));
    expect(loudnessOf(new Float32Array(160).fill(1), rate)[0]).to.equal(255);
    expect(loudnessOf(new Float32Array(160).fill(10 ** (-30 / 20)), rate)[0]).to.be.within(127, 128);
  });

  it('has one value for each hundredth of a second, the last one begun', () => {
    expect(loudnessOf(tone(0.5, 1601), rate)).to.have.length(11);
    expect(loudnessOf(new Float32Array(0), rate)).to.have.length(0);
  });

  it('rises with the amplitude', () => {
    const amplitudes = fc.tuple(fc.double({ min: 0.002, max: 1, noNaN: true }), fc.double({ min: 0.002, max: 1, noNaN: true }));
    fc.assert(
      fc.property(amplitudes, ([a, b]) => {
        const [quiet, loud] = [Math.min(a, b), Math.max(a, b)].map((amplitude) => loudnessOf(tone(amplitude, 160), rate)[0]!);
        expect(quiet).to.be.at.most(loud!);
      }),
    );
  });

  it('is found round a moment and nowhere beyond', () => {
    const sound = new Uint8Array(100);
    sound[50] = 255;
    expect(loudnessAround(sound, 500)).to.equal(1);
    expect(loudnessAround(sound, 530)).to.equal(1);
    expect(loudnessAround(sound, 600)).to.equal(0);
    expect(loudnessAround(new Uint8Array(0), 10)).to.equal(0);
  });
});
