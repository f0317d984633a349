import { expect } from 'chai';
import { findTalk } from './talk.ts';

const rate = 16_000;
const noise = (seed: number): (() => number) => {
  let state = seed;
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647 - 0.5;
};
/** A quiet room, with something in it between two seconds. */
function room(seconds: number, from: number, to: number, sounds: (second: number) => number): Float32Array {
  const random = noise(3);
  return Float32Array.from({ length: seconds * rate }, (_, at) => {
    const second = at / rate;
    return 0.002 * random() + (second >= from && second < to ? sounds(second) : 0);
  });
}
/** Pulses of a voice, four syllables a second that glide in pitch, with a breath now and then. */
function voice(second: number): number {
  const syllable = (second * 4) % 1;
  if (syllable > 0.7 || second % 3 > 2.6) return 0;
  const phase = 2 * Math.PI * 130 * second + 3 * Math.sin(2 * Math.PI * 0.7 * second);
  const loud = Math.sin((Math.PI * syllable) / 0.7);
  return 0.1 * loud * [1, 2, 3, 4, 5].reduce((sum, harmonic) => sum + Math.sin(harmonic * phase) / harmonic, 0);
}

describe('talk', () => {
  it('is found where a voice is heard, to a second or two', () => {
    const [talk, ...others] = findTalk(room(30, 10, 20, voice), rate);
    expect(others).to.deep.equal([]);
    expect(talk!.from).to.be.within(8000, 11_500);
    expect(talk!.to).to.be.within(18_500, 22_000);
  });

  it('is neither blows, nor a hum, nor silence', () => {
    const random = noise(9);
    const blows = room(30, 5, 25, (second) => (random() * Math.exp(-((second * 2) % 1) * 40)) / 2);
    expect(findTalk(blows, rate)).to.deep.equal([]);
    expect(
      findTalk(
        room(30, 5, 25, (second) => 0.1 * Math.sin(2 * Math.PI * 220 * second)),
        rate,
      ),
    ).to.deep.equal([]);
    expect(findTalk(new Float32Array(30 * rate), rate)).to.deep.equal([]);
  });

  it('is no bell, however long it rings on', () => {
    const bell = room(30, 10, 13, (second) => voice(second));
    expect(findTalk(bell, rate)).to.have.length(1);
    expect(findTalk(bell, rate, [{ time: 10_000 }])).to.deep.equal([]);
  });

  it('goes on through a breath, and two talks that are apart are two', () => {
    const twice = room(40, 0, 40, (second) => ((second > 5 && second < 12) || (second > 25 && second < 33) ? voice(second) : 0));
    expect(findTalk(twice, rate)).to.have.length(2);
  });

  it('is nothing in a sound that is too short, or is no number', () => {
    expect(findTalk(new Float32Array(100), rate)).to.deep.equal([]);
    expect(findTalk(new Float32Array(5 * rate).fill(NaN), rate)).to.deep.equal([]);
  });
});
