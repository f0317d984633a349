import type { Seconds } from '@wax-fist/core/units';
import { techniqueIn, shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { jointAngle, type Body } from '../body/skeleton.ts';
import { scene } from '../rounds-under-test.ts';
import { faultModels } from './fault/index.ts';
import { perform } from './performance.ts';
import type { Performance } from './thrown-round.ts';
import { everythingThrown, partsOf, usualStation, type Thrown } from './technique/thrown.ts';
import { everySingle, isBeat, isMove } from './technique/single.ts';

const sides = ['left', 'right'] as const;
const degrees = 180 / Math.PI;
type Joints = Body['joints'];
const heading = (joints: Joints, part: 'Shoulder' | 'Hip'): number =>
  Math.atan2(joints[`right${part}`].x - joints[`left${part}`].x, joints[`right${part}`].z - joints[`left${part}`].z) * degrees;
const between = (a: number, b: number): number => Math.abs(((((a - b + 180) % 360) + 360) % 360) - 180);

/** How far the joints of a healthy person go, degrees (after Norkin and White, Measurement of Joint Motion). */
const limits: Record<string, { of: (joints: Joints) => number; within: [number, number] }> = {
  ...Object.fromEntries(
    sides.flatMap((side) => [
      [
        `${side} knee`,
        { of: (j: Joints) => jointAngle(j[`${side}Hip`], j[`${side}Knee`], j[`${side}Ankle`]), within: [27.5, 180] },
      ],
      [
        `${side} elbow`,
        { of: (j: Joints) => jointAngle(j[`${side}Shoulder`], j[`${side}Elbow`], j[`${side}Wrist`]), within: [27.5, 180] },
      ],
      [
        `${side} wrist`,
        { of: (j: Joints) => 180 - jointAngle(j[`${side}Elbow`], j[`${side}Wrist`], j[`${side}Knuckles`]), within: [0, 70] },
      ],
    ]),
  ),
  trunk: { of: (j) => between(heading(j, 'Shoulder'), heading(j, 'Hip')), within: [0, 60] },
};

const roundOf = (technique: Thrown, faults: { fault: string; strength: number }[] = []): Performance =>
  perform(
    scene({
      station: usualStation(technique),
      work: [
        {
          strikes: isBeat(technique) ? Array.from({ length: 6 }, () => technique) : [technique],
          times: isMove(technique) ? 4 : 2,
        },
      ],
      faults: faults.map(({ fault, strength }) => ({ fault, strike: technique, share: 1, strength: [strength, strength] })),
    }),
  );
const moments = ({ seconds }: Performance): number[] =>
  Array.from({ length: Math.floor(seconds * 50) }, (_, index) => index / 50);

describe('mechanics of everything that is thrown', () => {
  for (const technique of everythingThrown) {
    it(`${technique}: no joint over its limit, nobody through the floor, nothing jumps`, () => {
      const round = roundOf(technique);
      let last: Joints | undefined;
      for (const seconds of moments(round)) {
        const { joints } = round.bodyAt(seconds);
        for (const [name, { of, within }] of Object.entries(limits))
          expect(of(joints), `${name} at ${seconds}`).to.be.within(...within);
        for (const side of sides)
          for (const part of ['Toe', 'Heel', 'Knee', 'Wrist'] as const)
            expect(joints[`${side}${part}`].y, `${side} ${part} at ${seconds}`).to.be.above(-0.035);
        // A fist and a kicking foot are the fastest there are: about 14 metres a second.
        if (last)
          for (const name of ['nose', 'leftHip', 'leftWrist', 'rightAnkle'] as const)
            expect(joints[name].distanceTo(last[name]), `${name} at ${seconds}`).to.be.below(0.3);
        last = joints;
      }
    });
  }

  for (const technique of everySingle.filter((id) => !isBeat(id))) {
    it(`${technique}: a foot that is down stays where it is`, () => {
      const round = roundOf(technique);
      for (const side of sides) {
        let last: Joints | undefined;
        for (const seconds of moments(round)) {
          const { joints } = round.bodyAt(seconds);
          const toe = joints[`${side}Toe`];
          if (last && Math.abs(toe.y) < 0.008 && Math.abs(last[`${side}Toe`].y) < 0.008) {
            const slid = Math.hypot(toe.x - last[`${side}Toe`].x, toe.z - last[`${side}Toe`].z);
            // The toes of a foot that turns on its ball go round it.
            expect(slid, `${side} at ${seconds.toFixed(2)}`).to.be.below(0.03);
          }
          last = joints;
        }
      }
    });
  }

  it('throws everything that the catalogue has, but for holding', () => {
    // A drill of several phases is the same once more; it is put together where it is filmed.
    const left = ['holding', 'in-and-out-twice', 'in-and-out-thrice'];
    const ids = [...shippedCatalogue.techniques.keys()].filter((id) => !left.includes(id));
    expect(everythingThrown).to.have.members(ids);
    for (const technique of everythingThrown)
      for (const part of partsOf(technique)) expect(techniqueIn(shippedCatalogue, part).id).to.equal(part);
  });

  it('a series is launched with its first part and home with its last, and every hit of it is heard', () => {
    const { strikes, hits } = roundOf('jab-cross-drive');
    for (const { parts, launch, contact, home } of strikes) {
      expect(launch).to.equal(parts[0]!.launch);
      expect([contact, home]).to.deep.equal([parts[1]!.contact, parts[1]!.home]);
      for (const part of parts) expect(hits.map(({ at }) => at)).to.include(part.contact);
    }
  });

  it('a tired trainee is slower and lower at the end than at the beginning', () => {
    const round = perform(scene({ work: [{ strikes: ['jab', 'cross'], times: 24 }], tired: 1 }));
    const out = round.strikes.map(({ launch, contact }) => contact - launch);
    const mean = (list: readonly number[]): number => list.reduce((sum, value) => sum + value, 0) / list.length;
    expect(mean(out.slice(-12)) / mean(out.slice(0, 12))).to.be.above(1.1);
    const guard = (seconds: Seconds): number => round.bodyAt(seconds).joints.leftWrist.y;
    expect(guard(1) - guard(round.seconds - 1)).to.be.above(0.04);
  });

  it('the same fault is the same in both stances', () => {
    for (const { id, of } of faultModels) {
      const [technique] = of;
      const change = {
        station: usualStation(technique!),
        work: [{ strikes: [technique!], times: 1 }],
        faults: [{ fault: id, strike: technique!, share: 1, strength: [1, 1] as [number, number] }],
      };
      const [orthodox, southpaw] = [
        perform(scene({ ...change, stance: 'orthodox' })),
        perform(scene({ ...change, stance: 'southpaw' })),
      ];
      const [one] = orthodox.strikes;
      expect(southpaw.bodyAt(one!.contact).joints.rightWrist.x).to.be.closeTo(
        -orthodox.bodyAt(one!.contact).joints.leftWrist.x,
        1e-9,
      );
    }
  });
});
