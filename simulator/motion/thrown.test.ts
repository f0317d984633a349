import type { Seconds } from '@wax-fist/core/units';
import { shippedCatalogue, techniqueIn, verdictIn } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { jointAngle, referenceStature, type Body } from '../body/skeleton.ts';
import { hand, scene, turnOf } from '../rounds-under-test.ts';
import { bagFace, bagRadius } from './station.ts';
import { kickModels, kickTechniques, type KickId } from './technique/kick.ts';
import { perform } from './performance.ts';
import type { Performance, ThrownStrike } from './thrown-round.ts';
import { meetingPoint } from './plan/kick.ts';
import { handTechniques, type HandId } from './technique/hand.ts';

describe('every kick that can be thrown', () => {
  for (const technique of kickTechniques) {
    const round = perform(scene({ stature: referenceStature, work: [{ strikes: [technique], times: 5 }] }));
    const model = kickModels[technique];
    const [side, standing] = model.foot === 'lead' ? (['left', 'right'] as const) : (['right', 'left'] as const);

    it(`${technique}: meets the bag, off one planted foot, upright, and is home again`, () => {
      for (const strike of round.strikes) {
        const body = round.bodyAt(strike.contact);
        const point = meetingPoint(body, side, model);
        const axis = bagFace + bagRadius + round.bagAt(strike.contact);
        const away = model.way === 'round' ? Math.hypot(point.x, point.z - axis) : axis - point.z;
        expect(away, 'from the middle of the bag').to.be.within(bagRadius - 0.02, bagRadius + 0.09);
        expect(body.joints[`${standing}Toe`].y, 'standing foot').to.be.within(-0.02, 0.06);
        expect(body.joints[`${side}Ankle`].y, 'kicking foot').to.be.above(0.4);
        const [early, late] = [strike.contact - 0.03, strike.leave].map(
          (seconds) => round.bodyAt(seconds).joints[`${standing}Toe`],
        );
        expect(early!.distanceTo(late!), 'the standing foot slides').to.be.below(0.03);
        const { leftShoulder, rightShoulder, leftHip, rightHip } = body.joints;
        const back = leftShoulder.clone().add(rightShoulder).sub(leftHip).sub(rightHip);
        expect(Math.abs((Math.atan2(back.z, back.y) * 180) / Math.PI), 'leans').to.be.below(30);
        // A switch is undone, and a step off the line taken back, a moment later.
        const [home, rest] = [
          round.bodyAt(model.beside.length > 0 ? round.seconds : strike.home + 0.15).joints,
          round.bodyAt(0.3).joints,
        ];
        expect(home[`${side}Toe`].distanceTo(rest[`${side}Toe`]), 'home').to.be.below(0.05);
      }
    });
  }

  const supportTurn = (technique: KickId): number => {
    const round = perform(scene({ work: [{ strikes: [technique], times: 1 }] }));
    const standing = kickModels[technique].foot === 'lead' ? 'right' : 'left';
    const turned = (seconds: Seconds): number => turnOf(standing, round.bodyAt(seconds).joints);
    return Math.abs(turned(round.strikes[0]!.contact) - turned(0.2));
  };
  it('turns the standing foot as much as its band asks', () => {
    for (const technique of ['rear-round', 'lead-round', 'low-kick', 'rising-45'] as const) {
      const { bands } = techniqueIn(shippedCatalogue, technique);
      expect(verdictIn(bands['pv.support-turn']!, supportTurn(technique)), `${technique}: ${supportTurn(technique)}`).to.equal(
        'clean',
      );
    }
  });

  it('follows a hand without touching what the hand did', () => {
    const alone = perform(scene({ work: [{ strikes: ['jab'], times: 1 }] })).strikes[0]!;
    const { strikes } = perform(scene({ work: [{ strikes: ['jab', 'rear-round'], times: 1 }] }));
    expect(strikes[0]!.contact).to.be.closeTo(alone.contact, 1e-9);
    expect(strikes[1]!.launch).to.be.above(strikes[0]!.leave);
  });
});

describe('every strike that can be thrown', () => {
  interface Seen {
    joints: Body['joints'];
    side: 'left' | 'right';
    strike: ThrownStrike;
    round: Performance;
  }
  const seen = (technique: HandId): Seen[] => {
    const round = perform(scene({ stature: referenceStature, work: [{ strikes: [technique], times: 6 }] }));
    return round.strikes.map((strike) => ({ joints: round.bodyAt(strike.contact).joints, side: hand(strike), strike, round }));
  };
  const level = ({ joints, side }: Seen): number => {
    const line = joints[`${side}Wrist`].clone().sub(joints[`${side}Elbow`]);
    return (Math.asin(line.y / line.length()) * 180) / Math.PI;
  };
  const upright = ({ joints }: Seen): number => {
    const line = joints.leftShoulder.clone().add(joints.rightShoulder).sub(joints.leftHip).sub(joints.rightHip);
    return (Math.acos(line.y / line.length()) * 180) / Math.PI;
  };

  for (const technique of handTechniques.filter((id) => id !== 'elbow')) {
    it(`${technique}: the glove meets the bag, in time, on planted feet, with the arm and the other hand as they should be`, () => {
      for (const one of seen(technique)) {
        const { joints, side, strike, round } = one;
        const [elbow, wrist] = [joints[`${side}Elbow`], joints[`${side}Wrist`]];
        const front = wrist.clone().addScaledVector(wrist.clone().sub(elbow).normalize(), 0.172);
        const fromAxis = Math.hypot(front.x, front.z - bagFace - bagRadius - round.bagAt(strike.contact));
        expect(fromAxis, 'glove from the middle of the bag').to.be.within(bagRadius - 0.03, bagRadius + 0.03);
        expect(strike.contact - strike.launch).to.be.within(0.1, 0.32);
        expect(jointAngle(joints[`${side}Shoulder`], elbow, wrist), 'elbow').to.be.below(178);
        for (const foot of ['left', 'right'] as const) expect(joints[`${foot}Toe`].y, 'toes').to.be.within(-0.02, 0.13);
        const idle = side === 'left' ? 'right' : 'left';
        expect(joints.chin.y - joints[`${idle}Wrist`].y, 'other hand').to.be.below(0.16);
        const [early, late] = [0.4, 0.6].map(
          (share) => round.bodyAt(strike.contact + (strike.leave - strike.contact) * share).joints,
        );
        for (const foot of ['leftToe', 'rightToe'] as const)
          expect(early![foot].distanceTo(late![foot]), 'feet while it lands').to.be.below(0.004);
        expect(upright(one), 'back').to.be.below(32);
      }
    });
  }

  it('a hook comes with the elbow bent square and the forearm level, an uppercut from below, a body shot low with the knees', () => {
    for (const technique of ['lead-hook', 'rear-hook'] as const) {
      for (const one of seen(technique)) {
        expect(one.strike.elbowAngle).to.be.within(75, 115);
        expect(Math.abs(level(one)), technique).to.be.below(15);
      }
    }
    for (const technique of ['lead-uppercut', 'rear-uppercut'] as const) {
      for (const { round, side, strike, joints } of seen(technique)) {
        const middle = round.bodyAt((strike.launch + strike.contact) / 2).joints[`${side}Wrist`];
        expect(joints[`${side}Wrist`].y - middle.y, technique).to.be.above(0.02);
      }
    }
    for (const technique of ['body-jab', 'body-straight', 'lead-body-hook', 'rear-body-hook'] as const) {
      for (const one of seen(technique)) {
        expect(one.joints[`${one.side}Knuckles`].y, technique).to.be.below(1.25);
        const stood = one.round.bodyAt(0.2).joints;
        expect(stood.leftHip.y - one.joints.leftHip.y, `${technique} sinks`).to.be.above(0.12);
      }
    }
  });

  it('turns the foot of the side that strikes, in hooks and in everything from the rear', () => {
    const turned = (technique: HandId, side: 'left' | 'right'): number => {
      const [one] = seen(technique);
      return Math.abs(turnOf(side, one!.joints) - turnOf(side, one!.round.bodyAt(0.2).joints));
    };
    for (const technique of ['lead-hook', 'lead-body-hook'] as const)
      expect(turned(technique, 'left'), technique).to.be.above(40);
    for (const technique of ['rear-hook', 'rear-uppercut', 'overhand', 'body-straight', 'rear-body-hook'] as const)
      expect(turned(technique, 'right'), technique).to.be.above(35);
    expect(turned('jab', 'right')).to.be.below(10);
  });

  it('steps in once for hooks that follow each other, and is out again after', () => {
    const round = perform(scene({ work: [{ strikes: ['jab', 'lead-hook', 'rear-hook'], times: 1 }] }));
    const [, first, second] = round.strikes;
    const hips = (seconds: Seconds): number => round.bodyAt(seconds).joints.leftHip.z;
    expect(Math.abs(hips(first!.contact) - hips(second!.contact))).to.be.below(0.25);
    expect(hips(first!.contact) - hips(0.3)).to.be.above(0.15);
    expect(Math.abs(hips(second!.home + 0.8) - hips(0.3))).to.be.below(0.06);
  });
});
