import { expect } from 'chai';
import { Vector3 } from 'three';
import { cameraAt, projected } from './camera.ts';
import { cameraTime, filmedSeconds, frameMoments, roundTime } from './clock.ts';
import { perform } from './motion/performance.ts';
import { exposuresOf } from './render/exposure.ts';
import { baseScene, scene } from './rounds-under-test.ts';
import type { SceneCamera } from './scene.ts';
import { heardBy } from './sound/heard.ts';
import { sampleRate } from './sound/voices.ts';
import { truthOf } from './truth/truth.ts';

const camera: SceneCamera = { ...baseScene.cameras[0]!, shake: 0 };
const at = (change: Partial<SceneCamera>, point = new Vector3(0, 1, 0)): [number, number] => {
  const plan = { ...camera, ...change };
  return projected(point, cameraAt(plan, baseScene, 1), plan);
};

describe('a camera', () => {
  it('sees more with a wider lens, tilts with its roll, and looks beside with its aim', () => {
    const [top, foot] = [new Vector3(0, 1.7, 0), new Vector3(0, 0, 0)];
    const height = (change: Partial<SceneCamera>): number => at(change, foot)[1] - at(change, top)[1];
    expect(height({ fieldOfView: 60 })).to.be.below(height({}) * 0.7);
    const lean = (roll: number): number => at({ roll }, top)[0] - at({ roll }, foot)[0];
    expect(lean(10) - lean(0)).to.not.be.closeTo(0, 5);
    expect(lean(10) - lean(0)).to.be.closeTo(-(lean(-10) - lean(0)), 12);
    expect(at({ aim: { x: 0.5, y: 0 } })[0]).to.be.below(at({})[0] - 20);
    expect(at({ aim: { x: 0, y: 0.5 } })[1]).to.be.above(at({})[1] + 20);
  });

  it('films upright pictures as well', () => {
    const upright = { pictureWidth: 540, pictureHeight: 960 };
    const [x, y] = at(upright);
    expect(x).to.be.within(0, 540);
    expect(y).to.be.within(0, 960);
  });

  it('sees the trainee from further round where somebody holds', () => {
    const place = (station: 'heavy-bag' | 'mitts'): number =>
      Math.abs(cameraAt({ ...camera, view: 'front' }, { ...baseScene, station }, 0).position.x);
    expect(place('mitts')).to.be.above(place('heavy-bag') * 1.2);
  });
});

describe('the clock of a camera', () => {
  const late: SceneCamera = { ...camera, starts: 2.5, drift: 0.0002 };
  it('begins when it is started and may run fast', () => {
    expect(roundTime(late, 0)).to.equal(2.5);
    expect(cameraTime(late, roundTime(late, 17.3))).to.be.closeTo(17.3, 1e-9);
    expect(filmedSeconds(late, 10)).to.be.closeTo(7.5 * 1.0002, 1e-9);
    expect(filmedSeconds({ ...camera, starts: -1 }, 10)).to.equal(11);
    expect(filmedSeconds({ ...camera, starts: 20 }, 10)).to.equal(0);
  });

  it('takes frames evenly, or unevenly but never out of order', () => {
    expect(frameMoments(baseScene, { ...camera, frameRate: 50 }, 0.1)).to.deep.equal([0, 0.02, 0.04, 0.06, 0.08]);
    const uneven = frameMoments(baseScene, { ...camera, frameRate: 50, uneven: 0.9 }, 4);
    const gaps = uneven.slice(1).map((moment, index) => moment - uneven[index]!);
    expect(Math.min(...gaps)).to.be.above(0.005);
    expect(Math.max(...gaps) - Math.min(...gaps)).to.be.above(0.008);
  });

  it('tells what two cameras saw of one round so that they can be tied together', () => {
    const round = perform(baseScene);
    const [one, two] = [camera, late].map((plan) => truthOf(baseScene, plan, round, [0, 0.5]));
    expect(two!.clock).to.deep.equal({ starts: 2.5, drift: 0.0002 });
    for (const [index, { contact }] of one!.strikes.entries())
      expect(two!.strikes[index]!.contact).to.be.closeTo((contact - 2500) * 1.0002, 0.2);
    expect(two!.hits!.map(({ at: hit }) => hit)).to.deep.equal(two!.strikes.map(({ contact }) => contact));
  });

  it('hears the round from when it was started', () => {
    const round = new Float32Array(4 * sampleRate);
    round[3 * sampleRate] = 1;
    const heard = heardBy({ ...camera, starts: 2.5 }, round, 1.5);
    expect(heard.indexOf(Math.max(...heard))).to.equal(sampleRate / 2);
    expect(heardBy(camera, round, 4)).to.equal(round);
  });
});

describe('an open shutter', () => {
  const round = perform(scene({ work: [{ strikes: ['cross'], times: 1 }] }));
  const [{ contact }] = round.strikes as [(typeof round.strikes)[0]];
  it('blurs what is fast and leaves alone what stands still', () => {
    const open = { ...camera, exposure: 0.8, frameRate: 30 };
    expect(exposuresOf(baseScene, open, round, 0.3)).to.deep.equal([0.3]);
    const fast = exposuresOf(baseScene, open, round, contact - 0.02);
    expect(fast.length).to.be.within(2, 6);
    expect(fast.reduce((sum, moment) => sum + moment, 0) / fast.length).to.be.closeTo(contact - 0.02, 1e-9);
    expect(exposuresOf(baseScene, camera, round, contact)).to.deep.equal([contact]);
  });
});

describe('visibility', () => {
  const seenFrom = (view: SceneCamera['view'], change: Partial<SceneCamera> = {}): Record<string, string> => {
    const round = perform(scene({ work: [{ strikes: ['jab'], times: 1 }] }));
    const truth = truthOf(baseScene, { ...camera, view, ...change }, round, [0.5]);
    return Object.fromEntries(truth.jointNames.map((name, index) => [name, truth.visibility![0]![index]!]));
  };
  it('says which joints are hidden behind the body, and which are out of the picture', () => {
    const side = seenFrom('lead-side');
    expect(side.leftShoulder).to.equal('2');
    expect(side.nose).to.equal('2');
    expect(side.rightEar).to.equal('1');
    expect([seenFrom('rear-side').leftEar, seenFrom('rear-side').rightEar]).to.deep.equal(['1', '2']);
    expect(seenFrom('rear').nose).to.equal('1');
    expect(Object.values(seenFrom('lead-side', { aim: { x: 40, y: 0 } })).every((one) => one === '0')).to.equal(true);
  });
});
