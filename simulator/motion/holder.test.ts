import { expect } from 'chai';
import { jointNames } from '../body/skeleton.ts';
import { baseScene, scene } from '../rounds-under-test.ts';
import type { Scene } from '../scene.ts';
import { holderFaults, type HolderFaultId } from './fault/holder.ts';
import { perform } from './performance.ts';
import { gloveFront } from './plan/hand.ts';

const { look } = baseScene;
const held = (change: Partial<Scene> = {}, fault?: HolderFaultId): Scene =>
  scene({
    station: 'mitts',
    holder: { stance: 'orthodox', stature: 1.76, look, faults: fault ? [{ fault, share: 1, strength: [1, 1] }] : [] },
    work: [{ strikes: ['jab', 'cross', 'lead-hook'], times: 3 }],
    ...change,
  });

describe('somebody who holds', () => {
  for (const stance of ['orthodox', 'southpaw'] as const) {
    it(`has a pad where each strike of a ${stance} trainee lands, and faces them`, () => {
      const round = perform(held({ stance }));
      for (const { parts } of round.strikes) {
        for (const { contact, model } of parts) {
          const striking = ((model.kind === 'hand' && model.hand) === 'lead') === (stance === 'orthodox') ? 'left' : 'right';
          const glove = gloveFront(round.bodyAt(contact), striking, 'glove');
          const nearest = Math.min(...round.holder!.padsAt(contact).map(({ position }) => position.distanceTo(glove)));
          expect(nearest, 'pad from glove').to.be.below(0.04);
          const { joints } = round.holder!.bodyAt(contact);
          expect(joints.nose.z).to.be.below(joints.leftEar.z);
          expect(joints.leftHip.z).to.be.above(round.bodyAt(contact).joints.leftHip.z + 0.6);
        }
      }
    });
  }

  it('turns a mitt against a hook and under an uppercut, and takes a kick with both pads', () => {
    const normalAt = (strikes: Scene['work'][0]['strikes'], station: Scene['station'] = 'mitts') => {
      const round = perform(held({ station, work: [{ strikes, times: 1 }] }));
      const { contact } = round.strikes.at(-1)!;
      return round.holder!.padsAt(contact);
    };
    expect(normalAt(['lead-hook']).some(({ normal }) => normal.x > 0.8)).to.equal(true);
    expect(normalAt(['lead-uppercut']).some(({ normal }) => normal.y < -0.8)).to.equal(true);
    expect(normalAt(['rear-round'], 'thai-pads').every(({ normal }) => normal.x < -0.8)).to.equal(true);
  });

  it('holds wide when the scene says so, and the strike goes there', () => {
    const across = (fault?: HolderFaultId): number => {
      const round = perform(held({}, fault));
      const [{ contact, held: faults }] = round.strikes as [(typeof round.strikes)[0]];
      expect(faults!.map(({ checkpoint }) => checkpoint)).to.deep.equal(fault ? [holderFaults[fault]] : []);
      const glove = gloveFront(round.bodyAt(contact), 'left', 'glove');
      const [nearest] = round.holder!.padsAt(contact).sort((a, b) => a.position.distanceTo(glove) - b.position.distanceTo(glove));
      return Math.abs(nearest!.position.x);
    };
    expect(across('pads-wide') - across()).to.be.above(0.1);
  });

  it('puts the head behind the pads, and lets them give, when the scene says so', () => {
    const at = (fault?: HolderFaultId) => {
      const round = perform(held({}, fault));
      return { round, contact: round.strikes[0]!.contact };
    };
    const headZ = ({ round, contact }: ReturnType<typeof at>): number => round.holder!.bodyAt(contact).joints.nose.z;
    expect(headZ(at()) - headZ(at('head-behind-pads'))).to.be.above(0.1);
    const given = ({ round, contact }: ReturnType<typeof at>): number => {
      const [before, after] = [contact, contact + 0.06].map((seconds) =>
        Math.min(...round.holder!.padsAt(seconds).map(({ position }) => position.z)),
      );
      return after! - before!;
    };
    expect(given(at('pads-loose'))).to.be.above(given(at()) * 1.5);
  });

  it('is only there where something is held', () => {
    expect(perform(scene()).holder).to.equal(undefined);
    const { joints } = perform(held()).holder!.bodyAt(1);
    for (const name of jointNames) expect(Number.isFinite(joints[name].length()), name).to.equal(true);
  });
});
