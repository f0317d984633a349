import { expect } from 'chai';
import fc from 'fast-check';
import { timelineOf } from '../film/index.ts';
import { moments, type MomentOrigin, type StrikeMoments } from '../strikes/index.ts';
import type { Band } from '../technique/index.ts';
import { leastSure, proposalFor, seenContactDoubt, sharesIn, snapRatio, type MeasuredValue } from './index.ts';

const at = (rate: number) => timelineOf(Array.from({ length: 400 }, (_, frame) => (frame * 1000) / rate));
/** A strike whose moments were all set by a coach. */
const seen = (launchFrame: number, contactFrame: number, homeFrame: number): StrikeMoments => ({
  ...{ launchFrame, contactFrame, homeFrame },
  ...{ launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' },
});
const band: Band = { clean: [null, 1.3], watch: [null, 1.8] };

describe('snap from three moments', () => {
  it('is the time home by the time out, with a doubt that shrinks with the frame rate', () => {
    const slow = snapRatio(at(30), seen(10, 15, 25));
    const fast = snapRatio(at(240), seen(80, 120, 200));
    expect(slow.value).to.be.closeTo(2, 1e-9);
    expect(fast.value).to.be.closeTo(2, 1e-9);
    if (slow.value === undefined || fast.value === undefined) throw new Error('Both can be measured.');
    expect(slow.doubt / fast.doubt).to.be.closeTo(8, 1e-6);
  });

  it('says why it cannot be told when two moments are one', () => {
    const none = snapRatio(at(30), seen(10, 10, 20));
    expect(none.value).to.equal(undefined);
    expect('reason' in none && none.reason).to.include('one frame');
  });

  it('is never taken from what is guessed', () => {
    const strike = seen(10, 15, 25);
    for (const moment of moments) {
      const read = snapRatio(at(30), { ...strike, [`${moment}Origin`]: 'guessed' });
      expect('reason' in read && read.reason).to.include(moment);
      expect(snapRatio(at(30), { ...strike, [`${moment}Origin`]: 'found' }).value).to.be.closeTo(2, 1e-9);
    }
  });

  it('doubts a contact that was only seen more than one that was heard or set', () => {
    const doubtBy = (origin: MomentOrigin): number =>
      (snapRatio(at(60), { ...seen(20, 30, 50), contactOrigin: origin }) as MeasuredValue).doubt;
    expect(doubtBy('found')).to.equal(doubtBy('set'));
    // Of 167 ms out, and the ratio is 2.
    expect(doubtBy('seen')).to.be.closeTo(Math.hypot(doubtBy('set'), (seenContactDoubt * 3) / (1000 / 6)), 1e-6);
  });

  it('claims a doubt that holds: moments read off frames spread no wider than it says', () => {
    // A deterministic sweep of where the true moments lie between two frames.
    const timeline = at(60);
    const [out, back] = [157, 214];
    const errors: number[] = [];
    let claimed = 0;
    for (let shift = 0; shift < 300; shift++) {
      const launch = 1000 + shift * 0.37;
      const frame = (time: number): number => Math.round((time * 60) / 1000);
      const read = snapRatio(timeline, seen(frame(launch), frame(launch + out), frame(launch + out + back)));
      if (read.value === undefined) throw new Error('It can be measured.');
      errors.push(read.value - back / out);
      claimed = read.doubt;
    }
    const spread = Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / errors.length);
    expect(spread)
      .to.be.below(claimed)
      .and.above(claimed / 4);
  });
});

describe('a proposal', () => {
  it('is made only when most of the spread lies in one band', () => {
    expect(proposalFor(band, { value: 1, doubt: 0.05 })).to.include({ verdict: 'clean' });
    expect(proposalFor(band, { value: 1.55, doubt: 0.1 })).to.include({ verdict: 'watch' });
    expect(proposalFor(band, { value: 2.5, doubt: 0.2 })).to.include({ verdict: 'fault' });
    expect(proposalFor(band, { value: 1.3, doubt: 0.1 })!.verdict).to.equal(undefined);
    expect(proposalFor(band, { value: undefined, reason: 'no' })).to.equal(undefined);
    expect(proposalFor(band, { value: 1.31, doubt: 0 })).to.deep.equal({ verdict: 'watch', sure: 1 });
  });

  it('is not made of what spreads wider than a band with two ends: most of it lies outside, whatever is true', () => {
    const narrow: Band = { clean: [10, 14], watch: [8, 16] };
    expect(proposalFor(narrow, { value: 12, doubt: 40 })).to.deep.equal({
      verdict: undefined,
      sure: sharesIn(narrow, { value: 12, doubt: 40 }).fault,
    });
    expect(proposalFor(narrow, { value: 30, doubt: 2 })!.verdict).to.equal('fault');
    expect(proposalFor(band, { value: 60, doubt: 40 })!.verdict, 'with one end').to.equal('fault');
  });

  it('shares out the whole spread, and is never surer than it', () => {
    const number = fc.double({ min: -3, max: 5, noNaN: true });
    fc.assert(
      fc.property(number, fc.double({ min: 0, max: 2, noNaN: true }), (value, doubt) => {
        const shares = sharesIn({ clean: [0.8, 1.3], watch: [0.5, 1.8] }, { value, doubt });
        expect(shares.clean + shares.watch + shares.fault).to.be.closeTo(1, 1e-9);
        const proposal = proposalFor({ clean: [0.8, 1.3], watch: [0.5, 1.8] }, { value, doubt })!;
        if (proposal.sure < leastSure) expect(proposal.verdict).to.equal(undefined);
      }),
    );
  });
});
