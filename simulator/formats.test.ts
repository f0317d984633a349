import { Ajv } from 'ajv';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { faultModels } from './motion/fault/index.ts';
import { perform } from './motion/performance.ts';
import { everythingThrown } from './motion/technique/thrown.ts';
import { checkedScene, type Scene } from './scene.ts';
import { truthOf } from './truth/truth.ts';

const here = import.meta.dirname;
const read = (...path: string[]): unknown => JSON.parse(readFileSync(join(here, ...path), 'utf8'));
const ajv = new Ajv({ allErrors: true });
const sceneSchema = read('formats', 'scene.schema.json') as {
  properties: {
    work: { items: { properties: { strikes: { items: { enum: string[] } } } } };
    faults: { items: { properties: { fault: { enum: string[] } } } };
  };
};
const sceneHolds = ajv.compile(sceneSchema);
const truthHolds = ajv.compile(read('formats', 'truth.schema.json') as object);
const scene = read('scenes', 'short-jab-cross.json') as Scene;
const holder = { stance: 'orthodox', stature: 1.8, look: scene.look, faults: [] };
const accepted = (value: unknown): boolean => {
  try {
    checkedScene(value);
    return true;
  } catch {
    return false;
  }
};

describe('published formats of the simulator', () => {
  for (const file of readdirSync(join(here, 'scenes'))) {
    it(`${file} holds by the schema of scenes`, () =>
      expect(sceneHolds(read('scenes', file)), JSON.stringify(sceneHolds.errors)).to.equal(true));
  }
  for (const file of readdirSync(join(here, 'footage')).filter((name) => name.endsWith('.truth.json.gz'))) {
    it(`${file} holds by the schema of truths`, () => {
      const truth: unknown = JSON.parse(gunzipSync(readFileSync(join(here, 'footage', file))).toString());
      expect(truthHolds(truth), JSON.stringify(truthHolds.errors?.slice(0, 3))).to.equal(true);
    });
  }

  it('know everything that can be thrown, and every fault', () => {
    const { work, faults } = sceneSchema.properties;
    expect(work.items.properties.strikes.items.enum).to.have.members([...everythingThrown]);
    expect(faults.items.properties.fault.enum).to.have.members(faultModels.map(({ id }) => id));
  });

  it('hold for a round of everything', () => {
    const all: Scene = { ...scene, work: [{ strikes: [...everythingThrown], times: 1 }] };
    expect(sceneHolds(all)).to.equal(true);
    const truth = truthOf(all, all.cameras[0]!, perform(all), [0, 1, 2]);
    expect(truthHolds(JSON.parse(JSON.stringify(truth))), JSON.stringify(truthHolds.errors)).to.equal(true);
    expect(truth.strikes.map(({ technique }) => technique)).to.have.members([...everythingThrown]);
  });

  it('hold for a round on pads with everything that can be said of it', () => {
    const held: Scene = {
      ...scene,
      station: 'mitts',
      tired: 0.5,
      holder: {
        stance: 'southpaw',
        stature: 1.8,
        look: { ...scene.look, hairStyle: 'bun' },
        faults: [{ fault: 'pads-wide', share: 1, strength: [0.5, 1] }],
      },
      work: [{ strikes: ['jab-cross-step', 'slip'], times: 3 }],
      sounds: [{ by: 'talk', decibels: 15 }],
      cameras: [
        {
          ...scene.cameras[0]!,
          roll: 4,
          aim: { x: 0.2, y: 0 },
          exposure: 0.5,
          uneven: 0.4,
          starts: 0.8,
          drift: 0.0001,
          fieldOfView: 40,
          quality: 26,
        },
      ],
    };
    expect(accepted(held)).to.equal(true);
    expect(sceneHolds(held), JSON.stringify(sceneHolds.errors)).to.equal(true);
    const truth = truthOf(held, held.cameras[0]!, perform(held), [0, 1]);
    expect(truthHolds(JSON.parse(JSON.stringify(truth))), JSON.stringify(truthHolds.errors)).to.equal(true);
    expect(truth.strikes.every(({ held: faults }) => faults!.every(({ checkpoint }) => checkpoint === 'ph.narrow'))).to.equal(
      true,
    );
  });

  for (const [name, wrong] of [
    ['without a name', { ...scene, name: '' }],
    ['of a giant', { ...scene, stature: 3 }],
    ['in which nothing is thrown', { ...scene, work: [] }],
    ['with a strike that nobody knows', { ...scene, work: [{ strikes: ['headbutt'], times: 1 }] }],
    ['with a fault that nobody knows', { ...scene, faults: [{ fault: 'yawns', strike: 'jab', share: 1, strength: [0, 1] }] }],
    ['with a share above all', { ...scene, faults: [{ fault: 'telegraph', strike: 'jab', share: 2, strength: [0, 1] }] }],
    ['without a camera', { ...scene, cameras: [] }],
    ['at a station that nobody knows', { ...scene, station: 'trampoline' }],
    ['with mitts that nobody holds', { ...scene, station: 'mitts' }],
    ['with somebody who holds a heavy bag', { ...scene, holder }],
    [
      'with a holder who does something unheard of',
      { ...scene, station: 'mitts', holder: { ...holder, faults: [{ fault: 'juggles', share: 1, strength: [0, 1] }] } },
    ],
    ['of a hair colour without a number', { ...scene, look: { ...scene.look, hair: 'red' } }],
    ['of a build that nobody has', { ...scene, look: { ...scene.look, build: 2 } }],
    ['with a shutter that is open for two frames', { ...scene, cameras: [{ ...scene.cameras[0], exposure: 2 }] }],
    ['with a clock that runs away', { ...scene, cameras: [{ ...scene.cameras[0], drift: 0.5 }] }],
    ['with a noise that nobody knows', { ...scene, sounds: [{ by: 'bagpipes', decibels: 10 }] }],
    ['filmed from above', { ...scene, cameras: [{ ...scene.cameras[0], view: 'above' }] }],
    ['with a rest too short', { ...scene, bells: { rounds: 2, rest: 1 } }],
  ] as const) {
    it(`a scene ${name} is refused by both`, () => {
      expect(accepted(wrong)).to.equal(false);
      expect(sceneHolds(wrong)).to.equal(false);
    });
  }
});
