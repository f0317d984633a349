import { feinted, findStrikes, motionOf, placesOfMotion, windowAt } from '@wax-fist/core/strikes';
import { emptyTrack } from '@wax-fist/core/body';
import { timelineOf } from '@wax-fist/core/film';
import { feintTechnique } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { perform } from '../motion/performance.ts';
import { scene } from '../rounds-under-test.ts';
import type { Scene } from '../scene.ts';
import { anybody, unfilmed } from './unfilmed.ts';

/** Somebody whom the eyes were not trained on, at their best. */
const plan: Scene = {
  ...anybody(100_001),
  faults: [],
  work: [{ strikes: ['jab', 'cross', 'lead-hook', 'rear-round'], times: 3 }],
};

describe('eyes', () => {
  const { body, thrown } = unfilmed(plan, perform(plan), 'lead-side', 3);

  it('see what is thrown, when, and what it was', () => {
    const found = findStrikes({ ...body, view: 'lead-side' }, []).filter(({ prominence }) => prominence > 0.5);
    expect(found.length).to.be.closeTo(thrown.length, 1);
    const right = thrown.filter(({ technique, contact }) =>
      found.some(({ time, names }) => Math.abs(time - contact * 1000) < 100 && names[0]!.technique === technique),
    );
    expect(right.length).to.be.at.least(thrown.length - 1);
  });

  it('see a strike that is begun and taken back as a feint, and not as the strike', () => {
    const feinting: Scene = { ...plan, work: [{ strikes: ['feint', 'cross'], times: 4 }] };
    const seen = unfilmed(feinting, perform(feinting), 'lead-side', 5);
    expect(feinted).to.equal(feintTechnique);
    const found = findStrikes({ ...seen.body, view: 'lead-side' }, []);
    const named = seen.thrown.map(
      ({ contact }) => found.find(({ time }) => Math.abs(time - contact * 1000) < 140)?.names[0]?.technique ?? 'none',
    );
    expect(named.filter((one) => one === 'cross')).to.have.length(4);
    expect(named.filter((one) => one === feintTechnique).length).to.be.at.least(3);
  });

  it('see a southpaw as they see the mirror image', () => {
    const plain = scene({ work: [{ strikes: ['cross'], times: 2 }] });
    const names = (stance: 'orthodox' | 'southpaw'): string[] => {
      const one = { ...plain, stance };
      const seen = unfilmed(one, perform(one), 'lead-side', 9).body;
      return findStrikes({ ...seen, view: 'lead-side' }, [])
        .filter(({ prominence }) => prominence > 0.5)
        .map((strike) => strike.names[0]!.technique);
    };
    expect(names('southpaw')).to.deep.equal(names('orthodox'));
    expect(names('southpaw')).to.deep.equal(['cross', 'cross']);
  });

  it('tell nothing where nobody is, and from a side that nobody was trained for', () => {
    const timeline = timelineOf(Array.from({ length: 90 }, (_, frame) => frame * 33));
    expect(findStrikes({ timeline, track: emptyTrack(0, 90), view: 'lead-side', leftLeads: true }, [])).to.deep.equal([]);
    expect(findStrikes({ ...body, view: 'rear' }, [])).to.deep.equal([]);
    expect(findStrikes({ timeline, track: undefined, view: 'front', leftLeads: true }, [])).to.deep.equal([]);
  });

  it('look at a body in trunks, the leading side first, and only where it is seen all the time', () => {
    const motion = motionOf(body);
    expect(motion.places.length).to.equal(motion.steps * placesOfMotion * 2);
    const middle = Math.floor(motion.steps / 2);
    const nose = motion.places[middle * placesOfMotion * 2 + 1]!;
    expect(nose, 'above the hips').to.be.within(0.8, 2.2);
    expect(windowAt(motion, 2), 'too near to the beginning').to.equal(undefined);
    expect(windowAt(motion, middle)).to.have.length((placesOfMotion + 1) * 2 * 17);
    const gone = { ...motion, hips: motion.hips.slice().fill(NaN, middle * 2, middle * 2 + 2) };
    expect(windowAt(gone, middle + 3)).to.equal(undefined);
  });
});
