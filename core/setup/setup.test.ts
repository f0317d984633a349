import { expect } from 'chai';
import fc from 'fast-check';
import { techniques } from '../technique/index.ts';
import {
  blurOf,
  bodyMeasures,
  cameraDistance,
  frameRates,
  lenses,
  lengthInWords,
  lightFor,
  padTable,
  rangeMarks,
  rateSays,
  readLength,
  roomFor,
  roundSums,
  seamFromMiddle,
  shutters,
  smallLengthInWords,
  speedBagFor,
  speedBagIsOff,
  stanceBoxFor,
  targetsOf,
  tellMeasure,
  uppercutBagFor,
  widthSeen,
  type KnownBody,
} from './index.ts';
import { unitSystems } from '../words/index.ts';

const body = (stature: number, measured: KnownBody['measured'] = {}): KnownBody => ({ stature, measured });
const anyStature = fc.double({ min: 90, max: 230, noNaN: true });
const limits = { what: 'Stature', least: 90, most: 230 };

describe('lengths as people type them', () => {
  const table: [typed: string, units: 'metric' | 'imperial', centimetres: number][] = [
    ['172', 'metric', 172],
    ['172 cm', 'metric', 172],
    ['1.72 m', 'metric', 172],
    ['1,72m', 'metric', 172],
    ['5′ 8″', 'imperial', 172.72],
    [`5'8"`, 'imperial', 172.72],
    ['5 ft 8 in', 'metric', 172.72],
    ['5ft', 'imperial', 152.4],
    ['68', 'imperial', 172.72],
    ['68 in', 'metric', 172.72],
  ];
  for (const [typed, units, centimetres] of table)
    it(`“${typed}”`, () => {
      const read = readLength(typed, limits, units);
      expect(read.ok && read.value).to.be.closeTo(centimetres, 1e-9);
    });

  it('that cannot be are told with what can be', () => {
    const says = (typed: string, units: 'metric' | 'imperial' = 'metric'): string => {
      const read = readLength(typed, limits, units);
      return read.ok ? '' : read.says;
    };
    expect(says('17 m')).to.equal('Stature: 1700 cm cannot be; from 90 cm to 230 cm.');
    expect(says('1.72')).to.equal('Stature: 2 cm cannot be; from 90 cm to 230 cm.');
    expect(says('tall')).to.equal('Stature: such as 172 or 1.72 m.');
    expect(says('', 'imperial')).to.equal('Stature: such as 5′ 8″ or 68 in.');
    expect(says('172', 'imperial')).to.equal('Stature: 14′ 4″ cannot be; from 2′ 11″ to 7′ 7″.');
  });

  it('come back as they were told', () => {
    fc.assert(
      fc.property(fc.integer({ min: 90, max: 230 }), fc.constantFrom(...unitSystems), (value, units) => {
        const read = readLength(lengthInWords(value, units), { ...limits, least: 80, most: 240 }, units);
        expect(read.ok && read.value).to.be.closeTo(value, units === 'metric' ? 1e-9 : 1.28);
      }),
    );
    expect([smallLengthInWords(1.26, 'metric'), smallLengthInWords(2.54, 'imperial')]).to.deep.equal(['1.3 cm', '1″']);
    expect(lengthInWords(30, 'imperial')).to.equal('12″');
  });
});

describe('a body', () => {
  it('is told from its stature with its error, or as it was measured', () => {
    const mouth = tellMeasure(body(180), 'mouth');
    expect(mouth.value).to.be.closeTo(161.1, 0.05);
    expect(mouth.error).to.be.within(1, 2);
    expect(tellMeasure(body(180, { reach: 77 }), 'reach')).to.deep.equal({ value: 77, error: 1, source: 'measured' });
  });

  it('grows in every measure with its stature, and every measure says where it comes from', () => {
    fc.assert(
      fc.property(anyStature, fc.constantFrom(...bodyMeasures), (stature, which) => {
        const [smaller, taller] = [tellMeasure(body(stature), which), tellMeasure(body(stature + 1), which)];
        expect(taller.value).to.be.above(smaller.value);
        expect(smaller.error).to.be.above(0);
        expect(smaller.source).not.to.equal('');
      }),
    );
  });
});

describe('bags', () => {
  it('a speed bag has its belly at the mouth, in shoes, and its board above it', () => {
    const { belly, board, sure } = speedBagFor(body(180), 20);
    expect(belly.value).to.be.closeTo(163.1, 0.05);
    expect(board.value).to.be.closeTo(183.1, 0.05);
    expect(sure).to.equal(true);
    expect(speedBagIsOff(body(180), 20, 190)).to.be.closeTo(6.9, 0.05);
    expect(speedBagFor(body(230), 20).sure).to.equal(true);
  });

  it('a heavy bag has an opponent on it: from the eyes down to the belt, in order', () => {
    fc.assert(
      fc.property(anyStature, (stature) => {
        const heights = targetsOf(body(stature)).map(({ height }) => height.value);
        expect(heights).to.deep.equal([...heights].sort((a, b) => b - a));
        expect(heights[0]!).to.be.below(stature);
        const { bottom, middle, top } = uppercutBagFor(body(stature));
        expect(bottom.value + top.value).to.be.closeTo(2 * middle.value, 1e-9);
      }),
    );
    expect(seamFromMiddle(108)).to.equal(27);
  });
});

describe('marks on the floor', () => {
  it('are nearer from range to range, and further for who reaches further', () => {
    fc.assert(
      fc.property(anyStature, (stature) => {
        const marks = rangeMarks(body(stature)).map(({ distance }) => distance.value);
        expect(marks).to.deep.equal([...marks].sort((a, b) => b - a));
      }),
    );
    const [long, outside] = rangeMarks(body(180, { reach: 80 }));
    expect(outside!.distance.value).to.equal(80);
    expect(long!.distance.value).to.be.closeTo(80 + 27.36, 0.01);
  });

  it('make a stance that the checklist calls clean', () => {
    const { width, widthFrom, widthTo, length } = stanceBoxFor(body(180));
    expect(width.value).to.be.within(widthFrom, widthTo);
    expect(length.value / tellMeasure(body(180), 'torso').value).to.be.within(0.7, 1.2);
  });
});

describe('a camera', () => {
  it('has the whole body in it with room to spare', () => {
    for (const { upright, across } of lenses) {
      const distance = cameraDistance(180, 108, upright);
      // Half of what is seen lies below the lens: feet and floor are in it.
      expect(widthSeen(distance, upright) / 2).to.be.closeTo(108 * 1.15, 1e-9);
      expect(cameraDistance(180, 108, across)).to.be.above(distance);
      expect(cameraDistance(180, 90, upright)).to.be.below(distance);
    }
    expect(cameraDistance(180, 108, 42)).to.be.within(320, 328);
  });

  it('tells a moment by half of the gap between two frames, and a time by both of its ends', () => {
    expect(rateSays(30)).to.deep.include({ frames: [3, 6], moment: 1000 / 60 });
    expect(rateSays(120).duration).to.be.closeTo(5.9, 0.01);
    expect(frameRates.map((rate) => rateSays(rate).moment)).to.deep.equal(
      frameRates.map((rate) => rateSays(rate).moment).sort((a, b) => b - a),
    );
  });

  it('blurs less the quicker its shutter is, and needs more light', () => {
    expect(blurOf(1000)).to.deep.equal([0.7, 1]);
    expect(shutters.map(lightFor)).to.deep.equal(shutters.map(lightFor).sort((a, b) => a - b));
    expect(lightFor(500)).to.be.closeTo(506, 1);
    expect([roomFor(250)?.name, roomFor(500)?.name, roomFor(100_000)]).to.deep.equal([
      'a lit hall',
      'beside a window by day',
      undefined,
    ]);
  });
});

describe('pads and rounds', () => {
  it('every strike is held for by one row', () => {
    for (const { id, kind } of techniques) {
      if (!['hand', 'elbow', 'kick', 'knee'].includes(kind) || id === 'double-lead-hook') continue;
      expect(padTable.filter((row) => row.techniques.includes(id)).length, id).to.equal(1);
    }
    const known = new Set<string>(techniques.map(({ id }) => id));
    for (const row of padTable) for (const id of row.techniques) expect(known.has(id), id).to.equal(true);
  });

  it('rounds add up, without a rest after the last', () => {
    expect(roundSums({ rounds: 3, work: 180, rest: 60, warmUp: 300, pace: 40 })).to.deep.equal({
      ...{ total: 960, worked: 540, hits: 360 },
      begins: [300, 540, 780],
    });
  });
});
