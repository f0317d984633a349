import { expect } from 'chai';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { blows, ffmpeg, goodFilms } from '../server/test/films.ts';
import { runWax } from './run-wax.ts';

describe('bin/wax on media files, without a server', function () {
  this.timeout(60_000);
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-cli-'))));
  after(() => rm(folder, { recursive: true }));
  const json = async <T>(...words: string[]): Promise<T> => {
    const { code, out, said } = await runWax(folder, words);
    expect(code, said).to.equal(0);
    expect(said).to.equal('');
    return JSON.parse(out) as T;
  };

  it('hits: where they are, with how they sounded', async () => {
    await blows(9, 0, join(folder, 'bag.mp4'));
    const hits = await json<Record<string, number>[]>('hits', 'bag.mp4', '--json');
    const truth = Array.from({ length: 10 }, (_, place) => 1.6 + 0.8 * place).filter((second) => second < 8.9);
    expect(hits).to.have.length(truth.length);
    hits.forEach((hit, place) => {
      expect(Object.keys(hit)).to.deep.equal(['t', 'level', 'attack', 'decay', 'brightness', 'snap', 'sure']);
      expect(hit.t).to.be.closeTo(truth[place]!, 0.012);
      expect(hit.level).to.be.closeTo(0, 6);
      for (const share of [hit.brightness, hit.snap, hit.sure]) expect(share).to.be.within(0, 1);
      expect(hit.decay).to.be.above(0);
    });
    const table = await runWax(folder, ['hits', 'bag.mp4', '--sensitivity', '0']);
    expect(table.out.split('\n')[0]).to.equal('t\tlevel\tattack\tdecay\tbright\tsnap\tsure');
    expect(table.out.trim().split('\n').length).to.be.at.most(hits.length + 1);
  });

  it('hits: also of a sound without a picture', async () => {
    await ffmpeg('-i', join(folder, 'bag.mp4'), '-vn', join(folder, 'bag.wav'));
    expect(await json<unknown[]>('hits', 'bag.wav', '--json')).to.have.length(10);
  });

  it('timeline: the true times of a varying rate, from the first frame', async () => {
    await goodFilms['variable.mp4']!(join(folder, 'variable.mp4'));
    const times = await json<number[]>('timeline', 'variable.mp4', '--json');
    expect(times[0]).to.equal(0);
    expect(times).to.have.length(60);
    const gaps = times.slice(1).map((time, place) => time - times[place]!);
    expect(Math.max(...gaps) - Math.min(...gaps)).to.be.above(0.02);
    expect(Math.min(...gaps)).to.be.above(0);
  });

  it('align: how one film stands to another', async () => {
    const blow = 'mod(t+0.31*sin(0.9*t),0.8)';
    await blows(24, 0, join(folder, 'front.mp4'), blow);
    await ffmpeg('-ss', '2.5', '-i', join(folder, 'front.mp4'), '-c:v', 'libx264', '-c:a', 'aac', join(folder, 'side.mp4'));
    const found = await json<{ offset: number; drift: number; fit: number }>('align', 'front.mp4', 'side.mp4', '--json');
    expect(found.offset).to.be.closeTo(-2.5, 0.005);
    expect(Math.abs(found.drift)).to.be.below(0.0001);
    expect(found.fit).to.be.within(0.4, 1);
    const none = await runWax(folder, ['align', 'front.mp4', 'bag.mp4']);
    expect(none).to.deep.include({ code: 1, out: '' });
    expect(none.said).to.include('too different');
  });

  it('says what is wrong on standard error, with a code', async () => {
    await writeFile(join(folder, 'letter.mp4'), 'Dear coach, this is no film.');
    await writeFile(join(folder, 'nothing.mp4'), '');
    const table: [words: string[], code: number, said: RegExp][] = [
      [['hits', 'no-such.mp4'], 1, /no file “no-such.mp4”/],
      [['hits', 'letter.mp4'], 1, /no sound that can be read/],
      [['timeline', 'letter.mp4'], 1, /no picture that can be read/],
      [['timeline', 'nothing.mp4'], 1, /is empty/],
      [['timeline', '.'], 1, /is not a file/],
      [['hits', 'bag.mp4', '--sensitivity', '7'], 2, /between 0 .* and 1/],
      [['hits'], 2, /missing required argument/],
      [['dance'], 2, /unknown command/],
      [['import', 'bag.mp4'], 2, /--trainee/],
      [['import', '--trainee', 'Bo', '--view', 'above', 'bag.mp4'], 2, /lead-side/],
      [['import', '--trainee', 'Bo', 'bag.mp4'], 1, /WAX_EMAIL and WAX_PASSWORD/],
    ];
    await Promise.all(
      table.map(async ([words, code, said]) => {
        const run = await runWax(folder, words, { WAX_EMAIL: '', WAX_PASSWORD: '' });
        expect(run.said, words.join(' ')).to.match(said);
        expect(run).to.deep.include({ code, out: '' });
      }),
    );
    const help = await runWax(folder, ['--help']);
    expect(help).to.deep.include({ code: 0, said: '' });
    for (const command of ['import', 'hits', 'timeline', 'align']) expect(help.out).to.include(`  ${command} `);
  });
});
