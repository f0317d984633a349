import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { checkedScene, type Scene } from '../scene.ts';
import type { Truth } from '../truth/truth.ts';
import { filmInBrowser, renderFilm } from './render.ts';

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
    await renderFilm({ scene: { ...scene, seed }, camera: camera!, style: 'draft', out, truth, seconds: 0.2 });
    const listing = execFileSync('ffmpeg', ['-loglevel', 'error', '-i', out, '-map', '0:v', '-f', 'framemd5', '-']).toString();
    const sums = listing
      .split('\n')
      .filter((line) => /^\d/.test(line))
      .map((line) => line.split(',').at(-1)!.trim());
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

  it('shows every frame when it was taken, be the camera ever so uneven, askew, upright or late', async () => {
    const [out, truth] = [join(folder, 'uneven.mp4'), join(folder, 'uneven.gz')];
    const phone = {
      ...camera!,
      uneven: 0.7,
      starts: 1.2,
      drift: 0.0002,
      roll: 5,
      pictureWidth: 180,
      pictureHeight: 320,
      exposure: 0.5,
    };
    await renderFilm({ scene, camera: phone, style: 'draft', out, truth, seconds: 0.4 });
    const { frameTimes } = JSON.parse(gunzipSync(readFileSync(truth)).toString()) as Truth;
    const listing = execFileSync('ffprobe', [
      '-v',
      'error',
      '-select_streams',
      'v',
      '-show_entries',
      'frame=pts_time',
      '-of',
      'csv=p=0',
      out,
    ]).toString();
    const times = listing
      .split('\n')
      .filter((line) => /^[0-9]/.test(line))
      .map((line) => Number.parseFloat(line) * 1000);
    expect(times).to.have.length(frameTimes.length);
    for (const [index, time] of times.entries()) expect(time - times[0]!, `frame ${index}`).to.be.closeTo(frameTimes[index]!, 1);
  });

  it('films a holder with the pads, and a swinging bag of another kind', async () => {
    const held = {
      ...scene,
      station: 'mitts' as const,
      holder: { stance: 'southpaw' as const, stature: 1.8, look: { ...scene.look, hairStyle: 'bun' as const }, faults: [] },
    };
    const sizes = new Map<string, number>();
    for (const [name, one] of [
      ['bag', scene],
      ['mitts', held],
      [
        'speed-bag',
        { ...scene, station: 'speed-bag' as const, work: [{ strikes: ['speed-bag-front' as const], times: 1 }], faults: [] },
      ],
    ] as [string, Scene][]) {
      await filmInBrowser({ scene: one, camera: camera!, style: 'draft' }, [1.5], (picture) =>
        Promise.resolve(void sizes.set(name, picture.length)),
      );
    }
    expect(new Set(sizes.values()).size).to.equal(3);
    expect(Math.min(...sizes.values())).to.be.above(4000);
  });
});
