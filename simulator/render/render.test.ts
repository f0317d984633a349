import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { checkedScene } from '../scene.ts';
import type { Truth } from '../truth.ts';
import { renderClip } from './render.ts';

const scene = checkedScene(JSON.parse(readFileSync(join(import.meta.dirname, '../scenes/short-jab-cross.json'), 'utf8')));
const [camera] = scene.cameras;

describe('rendering', function () {
  this.timeout(180_000);
  let folder: string;
  before(() => (folder = mkdtempSync(join(tmpdir(), 'wax-fist-render-'))));
  after(() => rmSync(folder, { recursive: true }));

  /** Films the first frames and gives the sum of every decoded picture. */
  async function filmed(name: string, seed = scene.seed): Promise<{ sums: string[]; truth: Truth }> {
    const [out, truth] = [join(folder, `${name}.mp4`), join(folder, `${name}.gz`)];
    await renderClip({ scene: { ...scene, seed }, camera: camera!, style: 'draft', out, truth, seconds: 0.2 });
    const listing = execFileSync('ffmpeg', ['-loglevel', 'error', '-i', out, '-map', '0:v', '-f', 'framemd5', '-']).toString();
    const sums = listing.split('\n').filter((line) => /^\d/.test(line)).map((line) => line.split(',').at(-1)!.trim()); // prettier-ignore
    return { sums, truth: JSON.parse(gunzipSync(readFileSync(truth)).toString()) as Truth };
  }

  it('gives a film with sound, one picture for each frame of the truth, the same each time', async () => {
    const [one, same, another] = [await filmed('one'), await filmed('same'), await filmed('another', scene.seed + 1)];
    expect(one.sums).to.have.length(6);
    expect(one.truth.frameTimes).to.have.length(6);
    expect(same.sums).to.deep.equal(one.sums);
    expect(another.sums).to.not.deep.equal(one.sums);
    const streams = execFileSync('ffprobe', [
      '-v',
      'error',
      '-show_entries',
      'stream=codec_type',
      '-of',
      'csv=p=0',
      join(folder, 'one.mp4'),
    ]);
    expect(streams.toString().trim().split('\n')).to.have.members(['video', 'audio']);
  });
});
