import { importSteps, type Film, type FilmStep } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { inWork, lacking, workOf } from './film-work.ts';

const film = (state: Film['state'], change: Partial<Record<FilmStep['step'], Partial<FilmStep>>>): Film =>
  ({
    state,
    steps: importSteps.map((step) => ({ step, state: 'waiting', progress: 0, left: null, reason: null, ...change[step] })),
  }) as unknown as Film;
const done = { state: 'done', progress: 1 } as const;

describe('work on a film', () => {
  it('is told as the way to the review first', () => {
    const work = workOf(film('working', { probe: done, 'review-copy': { state: 'working', progress: 0.5, left: 4000 } }))!;
    expect(work).to.include({ step: 'review-copy', left: 4000, begun: true });
    expect(work.share).to.be.closeTo(0.49, 0.001);
    expect(workOf(film('waiting', {}))).to.deep.include({ step: 'probe', share: 0, begun: false });
  });
  it('is told as the way to the end after that', () => {
    const playable = { probe: done, 'review-copy': done, timeline: done };
    const work = workOf(film('ready', { ...playable, 'film-strip': done, sound: { state: 'working', progress: 0.5 } }))!;
    // Two of the twenty-one parts that are left are the strip and the sound; to follow the body is ten of them, whoever holds five.
    expect(work).to.include({ step: 'sound', share: 1.5 / 21 });
  });
  it('is told by itself where strikes are looked at again, which takes longer than all the rest', () => {
    const rest = Object.fromEntries(importSteps.map((step) => [step, done]));
    const work = workOf(film('ready', { ...rest, 'second-pass': { state: 'working', progress: 0.25, left: 90_000 } }))!;
    expect(work).to.deep.include({ step: 'second-pass', share: 0.25, left: 90_000 });
  });
  it('is over when every step is', () => {
    const all = Object.fromEntries(importSteps.map((step) => [step, done]));
    expect(workOf(film('ready', all))).to.equal(undefined);
    expect(inWork(film('ready', all))).to.equal(false);
    const lame = film('ready', { ...all, motion: { state: 'failed', reason: 'It broke off.' } });
    expect(lacking(lame).map(({ step }) => step)).to.deep.equal(['motion']);
    expect(inWork(lame)).to.equal(false);
  });
});
