import { expect } from 'chai';
import fc from 'fast-check';
import { cutAt, freeAround, leastRound, listenTo, overlapping, soundOfWave, withEdge } from './index.ts';

const duration = 300_000;
const rounds = [
  { id: 'a', name: 'Round 1', from: 10_000, to: 100_000 },
  { id: 'b', name: 'Round 2', from: 120_000, to: 200_000 },
];

describe('rounds, moved by hand', () => {
  it('have edges that stop at a neighbour, at the ends of the film, and before their other edge', () => {
    const from = (id: string, time: number) => withEdge(rounds, id, 'from', time, duration).find((one) => one.id === id)!.from;
    const to = (id: string, time: number) => withEdge(rounds, id, 'to', time, duration).find((one) => one.id === id)!.to;
    expect([from('a', -50), from('a', 20_000), from('a', 99_900)]).to.deep.equal([0, 20_000, 100_000 - leastRound]);
    expect([to('a', 119_000), to('a', 150_000), to('a', 0)]).to.deep.equal([119_000, 120_000, 10_000 + leastRound]);
    expect([from('b', 90_000), to('b', 400_000)]).to.deep.equal([100_000, duration]);
    expect(withEdge(rounds, 'no such round', 'to', 5, duration)).to.deep.equal(rounds);
  });
  it('never overlap, wherever an edge is put', () => {
    const anywhere = fc.record({ id: fc.constantFrom('a', 'b'), edge: fc.constantFrom('from' as const, 'to' as const), time: fc.integer({ min: -1e6, max: 1e6 }) }); // prettier-ignore
    fc.assert(
      fc.property(fc.array(anywhere, { maxLength: 12 }), (moves) => {
        const moved = moves.reduce((all, { id, edge, time }) => withEdge(all, id, edge, time, duration), rounds);
        expect(overlapping(moved)).to.equal(undefined);
        for (const { from, to } of moved) expect(to - from).to.be.at.least(leastRound);
      }),
    );
  });
  it('are added where none is', () => {
    expect(freeAround(rounds, 110_000, duration)).to.deep.equal({ from: 100_000, to: 120_000 });
    expect(freeAround(rounds, 250_000, duration)).to.deep.equal({ from: 200_000, to: duration });
    expect(freeAround([], 5, duration)).to.deep.equal({ from: 0, to: duration });
    expect(freeAround(rounds, 50_000, duration)).to.equal(undefined);
    expect(freeAround([{ id: 'a', from: 500, to: duration }], 100, duration)).to.equal(undefined);
  });
  it('are cut in two, each with what it had', () => {
    expect(cutAt(rounds, 50_000, { id: 'c', name: 'Round 3' })).to.deep.equal([
      { id: 'a', name: 'Round 1', from: 10_000, to: 50_000 },
      { id: 'c', name: 'Round 3', from: 50_000, to: 100_000 },
      rounds[1],
    ]);
    expect(cutAt(rounds, 110_000, { id: 'c' })).to.equal(undefined);
    expect(cutAt(rounds, 10_400, { id: 'c' })).to.equal(undefined);
  });
});

/** A WAV file with these samples, and a chunk of notes before them. */
function wave(samples: number[], { channels = 1, claimed = samples.length * 2 } = {}): Uint8Array {
  const bytes = new Uint8Array(12 + 24 + 11 + 1 + 8 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const word = (at: number, text: string): void =>
    [...text].forEach((letter, index) => (bytes[at + index] = letter.charCodeAt(0)));
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

describe('a long sound', () => {
  it('is heard to its end in pieces, on one clock', () => {
    const rate = 8000;
    const samples = new Float32Array(rate * 615);
    const at = [2, 300, 604, 610];
    for (const second of at) {
      // Noise from a small generator: the same on every run.
      let state = 1 + second;
      for (let index = 0; index < rate * 0.2; index++) {
        state = (state * 16_807) % 2_147_483_647;
        samples[second * rate + index] = (state / 2_147_483_647 - 0.5) * Math.exp(-index / (rate * 0.02));
      }
    }
    const shares: number[] = [];
    const { hits, rings } = listenTo(samples, rate, (share) => shares.push(share));
    expect(hits.filter(({ prominence }) => prominence > 0.5).map(({ time }) => Math.round(time / 100) / 10)).to.deep.equal(at);
    expect(rings).to.deep.equal([]);
    expect(shares.at(-1)).to.equal(1);
  });
});
