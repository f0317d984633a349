import { expect } from 'chai';
import { seededRandom } from '../random.ts';
import { gymSound, playedAs } from './gym.ts';
import { heardRate, type Library, type Recording } from './library.ts';
import { fontSamples, patchSample } from './sound-font.ts';
import { packagesFor, sources } from './sources.ts';

const click = (name: string): Recording => ({
  package: 'made',
  name,
  samples: Float32Array.from({ length: 2000 }, (_, place) => Math.exp(-place / 200) * Math.sin(place)),
});
const library: Library = {
  ...{ hit: [click('hit')], step: [click('step')], tick: [click('tick')], breath: [click('breath')] },
  ...{ speech: [click('word')], music: [click('tune')], band: [click('band')], note: [click('note')] },
};

describe('recordings', () => {
  it('are never both trained or tuned on and heard in the proof', () => {
    const files = (use: string): string[] => sources.filter((one) => one.use === use).map((one) => `${one.package} ${one.kind}`);
    const learned = new Set([...files('training'), ...files('tuning')]);
    expect(files('proof').filter((one) => learned.has(one))).to.deep.equal([]);
    expect(packagesFor(['proof']))
      .to.include('freepats')
      .and.not.include('hydrogen-drumkits');
  });

  it('are read out of a sound font by name', () => {
    const name = (text: string): Buffer => Buffer.concat([Buffer.from(text), Buffer.alloc(20 - text.length)]);
    const record = (text: string, start: number, end: number): Buffer => {
      const numbers = Buffer.alloc(26);
      numbers.writeUInt32LE(start, 0);
      numbers.writeUInt32LE(end, 4);
      numbers.writeUInt32LE(22_050, 16);
      return Buffer.concat([name(text), numbers]);
    };
    const chunk = (id: string, body: Buffer): Buffer => {
      const head = Buffer.alloc(8);
      head.write(id);
      head.writeUInt32LE(body.length, 4);
      return Buffer.concat([head, body]);
    };
    const sound = Buffer.alloc(8);
    [100, -200, 300, -32_768].forEach((value, place) => sound.writeInt16LE(value, 2 * place));
    const list = Buffer.concat([record('Kick', 0, 2), record('Snare', 2, 4), record('EOS', 0, 0)]);
    const [kick, ...more] = fontSamples(Buffer.concat([chunk('smpl', sound), chunk('shdr', list)]), (one) => one !== 'Snare');
    expect(more).to.deep.equal([]);
    expect(kick).to.deep.include({ name: 'Kick', sampleRate: 22_050 });
    expect([...kick!.samples]).to.deep.equal([100 / 32_768, -200 / 32_768].map(Math.fround));
  });

  it('are read out of a patch file', () => {
    const bytes = Buffer.alloc(129 + 63 + 47 + 96 + 4);
    const at = 129 + 63 + 47;
    bytes.writeUInt32LE(4, at + 8);
    bytes.writeUInt16LE(11_025, at + 20);
    bytes.writeInt16LE(-16_384, at + 96);
    expect(patchSample('kick', bytes)).to.deep.equal({ name: 'kick', sampleRate: 11_025, samples: Float32Array.of(-0.5, 0) });
  });

  it('make a gym in which everything is heard when it is said to be', () => {
    const sound = gymSound(library, seededRandom(4), { seconds: 20, hits: true, hall: 0 });
    expect(sound.hits.length).to.be.above(10);
    const power = (from: number): number => {
      const first = Math.round((from / 1000) * heardRate);
      return sound.samples.subarray(first, first + 160).reduce((sum, value) => sum + value * value, 0);
    };
    // Before a hit that follows no other closely nothing is heard.
    const [first] = sound.hits;
    expect(power(first!)).to.be.above(100 * power(first! - 30));
  });

  it('are played faster, and die', () => {
    const twice = playedAs(library.hit[0]!.samples, 2, 10, 0);
    expect(twice.length).to.be.closeTo(1000, 2);
    expect(playedAs(library.hit[0]!.samples, 1, 0.001, 0)[400]).to.be.closeTo(0, 1e-6);
  });
});
