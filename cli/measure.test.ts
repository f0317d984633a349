import type { PointsDocument } from '@wax-fist/core/formats';
import { expect } from 'chai';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { filmPath, truthOfFilm } from '../server/demo/footage.ts';
import { ffmpeg } from '../server/test/films.ts';
import { runWax } from './run-wax.ts';

describe('bin/wax pose and measure', function () {
  this.timeout(300_000);
  let folder: string;
  before(async () => (folder = await mkdtemp(join(tmpdir(), 'wax-fist-measure-'))));
  after(() => rm(folder, { recursive: true }));
  const wax = (...words: string[]) => runWax(folder, words);

  it('follow a body, and measure a strike of it: a number with its doubt, or the reason why there is none', async () => {
    await ffmpeg('-ss', '1', '-i', filmPath('pavel-1-front'), '-t', '1', '-an', join(folder, 'hook.mp4'));
    await wax('pose', 'hook.mp4', '--model', 'lite', '--out', 'hook.json');
    const { model, points: names, frames } = JSON.parse(await readFile(join(folder, 'hook.json'), 'utf8')) as PointsDocument;
    expect([model, frames[0]!.time]).to.deep.equal(['lite', 0]);
    for (const { points } of frames) expect(points).to.have.length(4 * names.length);
    const asLines = ['measure', 'hook.mp4', '--technique', 'lead-hook', '--view', 'front', '--points', 'hook.json'];
    const words = [...asLines, '--json'];
    const { out } = await wax(...words, '--at', '0.2,0.5,0.9');
    const measured = JSON.parse(out) as {
      checkpoint: string;
      value: number | null;
      doubt: number | null;
      reason: string | null;
    }[];
    for (const { checkpoint, value, doubt, reason } of measured) {
      expect(value === null, checkpoint).to.equal(reason !== null);
      if (doubt !== null) expect(doubt, checkpoint).to.be.above(0);
    }
    expect(measured.find(({ checkpoint }) => checkpoint === 'st.knees')!.reason).to.include('film from');
    const guessed = JSON.parse((await wax(...words, '--at', '0.5')).out) as typeof measured;
    expect(guessed.find(({ checkpoint }) => checkpoint === 'gd.other-hand')!.reason).to.include('home');
    const inCm = JSON.parse((await wax(...words, '--at', '0.2,0.5,0.9', '--stature', '178')).out) as {
      cm: number | null;
      unit: string;
    }[];
    expect(inCm.some(({ cm }) => cm !== null)).to.equal(true);
    for (const { cm, unit } of inCm) if (unit !== 'ratio') expect(cm).to.equal(null);
    expect((await wax(...words, '--at', '0.5', '--stature', '17.8')).code).to.equal(2);
    const told = [...(await wax(...asLines, '--at', '0.2,0.5,0.9')).out.matchAll(/\t(\S+) ± (\S+) \w+\t/g)];
    expect(told).to.not.deep.equal([]);
    for (const [, value, doubt] of told) {
      expect(value!.split('.')[1]?.length, value).to.equal(doubt!.split('.')[1]?.length);
      expect(doubt, 'two figures of a doubt').to.match(/^(0\.0{0,2}\d{1,2}|\d\.\d|\d{2,})$/);
    }
  });

  it('look at a strike once more where that is asked for, and at nothing else', async () => {
    await ffmpeg('-ss', '1.3', '-i', filmPath('lio-1-lead-side'), '-t', '1', '-an', join(folder, 'again.mp4'));
    const { out } = await wax('pose', 'again.mp4', '--model', 'lite', '--again', 'again.json', '--at', '0.4', '--json');
    const { frames } = JSON.parse(out) as PointsDocument;
    const again = JSON.parse(await readFile(join(folder, 'again.json'), 'utf8')) as PointsDocument;
    expect(again.model).to.equal('heavy');
    expect(again.frames).to.have.length(frames.length);
    expect(again.frames.filter(({ points }) => points).length).to.be.above(10);
    expect((await wax('pose', 'again.mp4', '--again', 'again.json')).said).to.include('--at');
    expect((await wax('pose', 'again.mp4', '--again', 'again.json', '--at', '2,1')).code).to.equal(2);
  });

  it('find the strikes of whoever is in a film, by ear and eye', async () => {
    await ffmpeg('-ss', '1', '-i', filmPath('lio-1-lead-side'), '-t', '2.7', join(folder, 'lio.mp4'));
    const { out, said } = await wax('strikes', 'lio.mp4', '--model', 'lite', '--json');
    const told = JSON.parse(out) as { t: number; technique: string | null; side: string | null; sure: number; from: string[] }[];
    const truth = truthOfFilm('lio-1-lead-side').strikes.filter(({ contact }) => contact > 1500 && contact < 3200);
    expect(truth.length).to.be.above(2);
    for (const { technique, contact } of truth) {
      const near = told.filter(({ t }) => Math.abs(t - (contact / 1000 - 1)) < 0.12);
      expect(
        near.map((one) => one.technique),
        `${technique} at ${contact} ms; ${said}`,
      ).to.include(technique);
    }
    for (const { sure, from } of told) {
      expect(sure).to.be.within(0, 1);
      expect(from).to.not.deep.equal([]);
    }
    expect((await wax('strikes', 'lio.mp4', '--stance', 'sideways')).code).to.equal(2);
  });

  it('say what cannot be measured, and why', async () => {
    const hook = ['measure', 'hook.mp4', '--technique'];
    expect(await wax(...hook, 'hook', '--at', '1')).to.include({ code: 1, out: '' });
    expect((await wax(...hook, 'hook', '--at', '1')).said).to.include('lead-hook');
    expect(await wax(...hook, 'lead-hook', '--at', '0.9,0.5,1')).to.include({ code: 2 });
    expect((await wax(...hook, 'lead-hook', '--at', '70')).said).to.match(/The film is [\d.]+ seconds long/);
    expect((await wax('measure', 'none.mp4', '--technique', 'jab', '--at', '1')).said).to.include('There is no file');
    await ffmpeg('-f', 'lavfi', '-i', 'color=gray:s=320x240:r=10:d=0.5', '-pix_fmt', 'yuv420p', join(folder, 'empty.mp4'));
    expect((await wax(...hook, 'jab', '--at', '0.5', '--points', 'none.json')).said).to.include('There is no file “none.json”');
    expect((await wax(...hook, 'jab', '--at', '0.5', '--points', 'hook.mp4')).said).to.include('holds no points');
    const others = await wax('measure', 'empty.mp4', '--technique', 'jab', '--at', '0.2', '--points', 'hook.json');
    expect([others.code, others.said]).to.satisfy(([code, said]: [number, string]) => code === 1 && said.includes('frames'));
    const nobody = await wax('measure', 'empty.mp4', '--technique', 'jab', '--at', '0.2', '--model', 'lite');
    expect([nobody.code, nobody.said]).to.satisfy(([code, said]: [number, string]) => code === 1 && said.includes('Nobody'));
  });
});
