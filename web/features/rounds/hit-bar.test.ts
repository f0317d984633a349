import type { Hit } from '@wax-fist/core/sound';
import { expect } from 'chai';
import { hitBar, hitInWords } from './hit-bar.ts';

const hit = (level: number, snap: number): Hit => ({
  time: 0,
  by: 'sound',
  sound: { level, attack: 4, decay: 60, brightness: 0.2, snap },
});
const percent = (text: string): number => Number(/([\d.]+)%/.exec(text)![1]);
const lightness = (text: string): number => Number(/([\d.]+)%\)$/.exec(text)![1]);

describe('the bar of a hit', () => {
  it('is the higher the louder it was, and never too low to be seen or higher than its line', () => {
    const heights = [-60, -14, -5, 0, 8, 40].map((level) => percent(hitBar(hit(level, 0.5)).height));
    expect(heights).to.deep.equal([...heights].sort((a, b) => a - b));
    expect([heights[0], heights.at(-1)]).to.deep.equal([18, 100]);
  });
  it('is the brighter the snappier it was', () => {
    const [thunk, between, pop] = [0, 0.5, 1].map((snap) => lightness(hitBar(hit(0, snap)).background));
    expect(thunk).to.be.below(between!);
    expect(between).to.be.below(pop!);
  });
  it('of what was only seen, or set by hand, is neither high nor bright', () => {
    expect(percent(hitBar({ time: 0, by: 'motion' }).height)).to.be.within(30, 60);
  });
  it('says in words how it was found and what it sounded like', () => {
    expect(hitInWords(hit(3, 0.95))).to.equal('heard, +3 dB to the usual hit of this film, a pop among its hits');
    expect(hitInWords(hit(-4, 0))).to.equal('heard, −4 dB to the usual hit of this film, a thunk among its hits');
    expect(hitInWords({ time: 0, by: 'motion' })).to.include('less sure');
    const both = { time: 0, by: 'both', sure: 0.94 } as const;
    expect(hitInWords({ ...both, from: ['sound', 'sight'] })).to.include('heard and seen, 94% sure');
    expect(hitInWords({ ...both, from: ['sight'] })).to.include('seen, not heard');
    expect(hitInWords({ ...both, from: ['sound'] })).to.include('heard, not seen');
    expect(hitInWords({ time: 0, by: 'coach' })).to.equal('set by hand');
  });
});
