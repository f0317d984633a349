import type { Metres } from '@wax-fist/core/units';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { frameAt, timelineOf } from '@wax-fist/core/film';
import { loudnessAround, loudnessOf } from '@wax-fist/core/sound';
import { jointAngle, jointNames, referenceStature, type Body, type JointName } from './body/skeleton.ts';
import { bagTravel } from './motion/bag.ts';
import { bagFace } from './motion/station.ts';
import { perform } from './motion/performance.ts';
import type { Performance } from './motion/thrown-round.ts';
import { renderCommand } from './render-command.ts';
import { baseScene as base, hand, many, scene, span } from './rounds-under-test.ts';
import { checkedScene, type Scene, type SceneFault } from './scene.ts';
import { soundOfScene } from './sound/sound.ts';
import { sampleRate } from './sound/voices.ts';
import { wavOf } from './sound/wav.ts';
import { isMove } from './motion/technique/single.ts';
import { isSeries } from './motion/technique/thrown.ts';
import { truthOf } from './truth/truth.ts';

const scenes = join(import.meta.dirname, 'scenes');
const shipped = readdirSync(scenes).map((file) => checkedScene(JSON.parse(readFileSync(join(scenes, file), 'utf8'))));

describe('a performed round', () => {
  it('is the same from the same seed and another from another', () => {
    const [one, same, another] = [perform(base), perform(structuredClone(base)), perform({ ...base, seed: base.seed + 1 })];
    expect(same.strikes).to.deep.equal(one.strikes);
    expect(same.bodyAt(2).joints).to.deep.equal(one.bodyAt(2).joints);
    expect(another.strikes).to.not.deep.equal(one.strikes);
  });

  for (const shown of shipped) {
    it(`“${shown.name}” throws what its scene asks for, each strike launched, landed and home before the round ends`, () => {
      const { strikes, seconds } = perform(shown);
      const asked = shown.work.reduce((sum, { strikes: list, times }) => sum + list.length * times, 0);
      expect(strikes).to.have.length(asked);
      for (const { technique, launch, contact, leave, home } of strikes) {
        expect([launch, contact, leave, home]).to.deep.equal([launch, contact, leave, home].sort((a, b) => a - b));
        if (!isSeries(technique) && !isMove(technique)) expect(contact - launch).to.be.within(0.08, 0.45);
        expect(home).to.be.below(seconds);
      }
    });
  }

  it('rings at the beginning and at the end of every round when it is worked by the bell, and nobody throws in the rest', () => {
    const bells = { rounds: 3, rest: 10 };
    const { rings, strikes, seconds } = perform(scene({ work: [{ strikes: ['jab'], times: 9 }], bells }));
    expect(rings).to.have.length(6);
    expect(rings.at(-1)).to.be.below(seconds);
    for (const round of [0, 1, 2]) {
      const inside = strikes.filter(({ launch, home }) => launch > rings[2 * round]! && home < rings[2 * round + 1]!);
      expect(inside).to.have.length(3);
    }
    expect(rings[2]! - rings[1]!).to.be.closeTo(10, 2);
    expect(perform(scene()).rings).to.deep.equal([]);
  });
  it('brings the glove to the bag at the moment that the truth calls contact', () => {
    const round = perform(scene({ stature: referenceStature, work: [{ strikes: ['jab', 'cross'], times: 10 }] }));
    for (const strike of round.strikes) {
      const { joints } = round.bodyAt(strike.contact);
      const [shoulder, elbow, wrist] = [
        joints[`${hand(strike)}Shoulder`],
        joints[`${hand(strike)}Elbow`],
        joints[`${hand(strike)}Wrist`],
      ];
      const front = wrist.clone().addScaledVector(wrist.clone().sub(elbow).normalize(), 0.172);
      expect(Math.abs(front.z - bagFace - round.bagAt(strike.contact)), `at ${strike.contact}`).to.be.below(0.002);
      expect(jointAngle(shoulder, elbow, wrist)).to.be.closeTo(strike.elbowAngle, 0.01);
    }
  });

  it('never stretches a bone', () => {
    const round = perform(base);
    const bones: [JointName, JointName][] = [
      ['leftShoulder', 'leftElbow'],
      ['leftElbow', 'leftWrist'],
      ['rightHip', 'rightKnee'],
      ['rightKnee', 'rightAnkle'],
      ['leftHip', 'rightHip'],
    ];
    const length = ({ joints }: Body, [from, to]: [JointName, JointName]) => joints[from].distanceTo(joints[to]);
    const atRest = bones.map((bone) => length(round.bodyAt(0), bone));
    for (const seconds of span(0, round.seconds)) {
      bones.forEach((bone, place) => expect(length(round.bodyAt(seconds), bone)).to.be.closeTo(atRest[place]!, 0.01));
    }
  });

  it('keeps both feet on the floor, and the rear one where it is', () => {
    const round = perform(many('cross'));
    const home = round.bodyAt(0).joints.rightToe;
    for (const seconds of span(0, round.seconds)) {
      const { joints } = round.bodyAt(seconds);
      for (const side of ['left', 'right'] as const) expect(joints[`${side}Toe`].y).to.be.within(-0.01, 0.12);
      expect(Math.hypot(joints.rightToe.x - home.x, joints.rightToe.z - home.z)).to.be.below(0.12);
    }
  });

  it('is mirrored for a southpaw', () => {
    const [orthodox, southpaw] = [perform(base), perform({ ...base, stance: 'southpaw' })];
    const { contact } = orthodox.strikes[0]!;
    const left = orthodox.bodyAt(contact).joints.leftWrist;
    const right = southpaw.bodyAt(contact).joints.rightWrist;
    expect(right.x).to.be.closeTo(-left.x, 1e-9);
    expect(right.z).to.be.closeTo(left.z, 1e-9);
  });

  it('grows with the stature', () => {
    const height = (stature: Metres): number => perform({ ...base, stature }).bodyAt(0).joints.crown.y;
    expect(height(1.9) / height(1.6)).to.be.closeTo(1.9 / 1.6, 0.02);
  });
});

describe('a fault', () => {
  it('comes in about the share of repetitions that was asked for', () => {
    const round = perform({
      ...many('jab', [{ fault: 'telegraph', strike: 'jab', share: 0.3, strength: [1, 1] }]),
      work: [{ strikes: ['jab'], times: 200 }],
    });
    expect(round.strikes.filter(({ faults }) => faults.length > 0).length).to.be.within(40, 80);
  });
});

describe('truth', () => {
  const round = perform(base);
  const [camera] = base.cameras;
  const truth = truthOf(base, camera!, round, [0, 0.5, round.strikes[0]!.contact]);

  it('has every joint of every frame in metres and in pixels, inside the picture', () => {
    expect(truth.pixels.map((frame) => frame.length)).to.deep.equal(Array(3).fill(jointNames.length * 2));
    expect(truth.metres.map((frame) => frame.length)).to.deep.equal(Array(3).fill(jointNames.length * 3));
    for (const frame of truth.pixels) {
      frame.forEach((value, place) => expect(value).to.be.within(0, place % 2 ? camera!.pictureHeight : camera!.pictureWidth));
    }
  });

  it('tells times in milliseconds and every fault with its checkpoint', () => {
    expect(truth.frameTimes.slice(0, 2)).to.deep.equal([0, 500]);
    expect(truth.strikes[0]!.contact).to.be.closeTo(round.strikes[0]!.contact * 1000, 0.06);
    expect(truth.strikes.flatMap(({ faults }) => faults.map(({ checkpoint }) => checkpoint))).to.deep.equal(
      Array(2).fill('gd.return-line'),
    );
  });

  it('puts the contact into the frame that a coach would choose', () => {
    const timeline = timelineOf(Array.from({ length: 90 }, (_, frame) => (frame * 1000) / 30));
    const { contact } = truth.strikes[0]!;
    expect(Math.abs(timeline[frameAt(timeline, contact)]! - contact)).to.be.below(1000 / 30);
  });
});

describe('sound', () => {
  const loud = (round: Performance, shown: Scene): Uint8Array => {
    const samples = soundOfScene(shown, round);
    const perRead = sampleRate / 16_000;
    return loudnessOf(
      samples.filter((_, index) => index % perRead === 0),
      16_000,
    );
  };

  it('is loudest where gloves land', () => {
    const round = perform(base);
    const loudness = loud(round, base);
    const quietest = Math.min(...round.strikes.map(({ contact }) => loudnessAround(loudness, contact * 1000)));
    expect(quietest).to.be.above(loudnessAround(loudness, 700) + 0.2);
  });

  it('of a push is softer than that of a snap', () => {
    const peak = (faults: SceneFault[]): number => {
      const shown = many('jab', faults);
      const round = perform(shown);
      const loudness = loud(round, shown);
      return round.strikes.reduce((sum, { contact }) => sum + loudnessAround(loudness, contact * 1000), 0) / round.strikes.length;
    };
    expect(peak([])).to.be.above(peak([{ fault: 'leaning-in', strike: 'jab', share: 1, strength: [1, 1] }]));
  });

  it('is written as a file that says its own length', () => {
    const wav = wavOf(new Float32Array(100).fill(2));
    expect(wav.toString('latin1', 0, 4)).to.equal('RIFF');
    expect(wav.readUInt32LE(4)).to.equal(wav.length - 8);
    expect(wav.readInt16LE(wav.length - 2)).to.equal(32_767);
  });
});

describe('bag', () => {
  it('swings away after a hit, not before, and comes to rest', () => {
    const hits = [{ at: 1, push: 0.05 }];
    expect(bagTravel(hits, 0.99)).to.equal(0);
    expect(bagTravel(hits, 1.3)).to.be.above(0.01);
    expect(Math.abs(bagTravel(hits, 9))).to.be.below(0.001);
  });
});

describe('scene file', () => {
  it('is refused with every mistake named', () => {
    const broken = {
      ...structuredClone(base),
      stature: 17,
      stance: 'sideways',
      faults: [{ fault: 'flies', strike: 'jab', share: 2 }],
    };
    for (const mistake of [/stature/, /stance/, /“flies”/, /share/]) expect(() => checkedScene(broken)).to.throw(mistake);
    expect(() => checkedScene(undefined)).to.throw('cannot be filmed');
  });

  it('needs sensible bells', () => {
    expect(() => checkedScene(scene({ bells: { rounds: 0, rest: 500 } }))).to.throw(/bells\.rounds[^]*bells\.rest/);
  });
  it('rear-foot-flat is not for the jab', () => {
    const wrong = scene({ faults: [{ fault: 'rear-foot-flat', strike: 'jab', share: 1, strength: [1, 1] }] });
    expect(() => checkedScene(wrong)).to.throw('not for the jab');
  });
});

describe('render command', () => {
  const table: [words: string[], message: RegExp][] = [
    [[], /scene and --out/],
    [['short-jab-cross'], /scene and --out/],
    [['no-such-scene', '--out', 'x.mp4'], /no scene “no-such-scene”/],
    [['short-jab-cross', '--out', 'x.mp4', '--style', 'oil'], /draft, full/],
    [['short-jab-cross', '--out', 'x.mp4', '--view', 'rear'], /no rear camera; it has lead-side, front/],
  ];
  for (const [words, message] of table) {
    it(`“${words.join(' ')}” says what is wrong`, async () => {
      const quiet = renderCommand()
        .exitOverride()
        .configureOutput({ writeErr: () => undefined });
      const error = await quiet.parseAsync(words, { from: 'user' }).then(
        () => undefined,
        (reason: unknown) => reason as Error,
      );
      expect(error?.message).to.match(message);
    });
  }
});
