import { checkpointIn, picturesOf, shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { expect } from 'chai';
import fc from 'fast-check';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { everythingThrown, isSeries, partsOf } from './motion/technique/thrown.ts';
import { areaRound } from './still-areas.ts';
import { everyStill, pathOf, stillAreas, stillsFolder, stillsOf } from './stills.ts';

describe('reference stills', () => {
  it('ship, every one of them, and are small', () => {
    for (const still of everyStill()) {
      const path = pathOf(stillsFolder, still);
      expect(existsSync(path), `${still.folder}/${still.name}: bin/simulate stills makes it`).to.equal(true);
      expect(statSync(path).size, path).to.be.within(1500, 60_000);
    }
  });

  it('ship, and none that nothing asks for any longer', () => {
    const wanted = new Set(everyStill().map((still) => pathOf(stillsFolder, still)));
    const shipped = readdirSync(stillsFolder, { recursive: true, withFileTypes: true })
      .filter((file) => file.isFile())
      .map(({ parentPath, name }) => join(parentPath, name));
    expect(shipped.filter((path) => !wanted.has(path))).to.deep.equal([]);
  });

  for (const technique of [...everythingThrown, 'holding' as const]) {
    it(`of ${technique} show how it should look from wherever it is judged`, () => {
      const stills = everyStill().filter(({ folder }) => folder === technique);
      const { checkpoints } = techniqueIn(shippedCatalogue, technique);
      const judged = checkpoints.map((id) => checkpointIn(shippedCatalogue, id)).filter(({ measure }) => measure !== 'ear');
      for (const view of new Set(judged.map(({ views }) => views[0])))
        expect(
          stills.some((still) => !still.fault && still.view === view),
          view,
        ).to.equal(true);
    });
  }

  it('show a series that is thrown as it is walked', () => {
    for (const technique of everythingThrown.filter(isSeries)) {
      const { parts } = techniqueIn(shippedCatalogue, technique);
      if (parts.length > 0) expect(parts, technique).to.deep.equal(partsOf(technique));
    }
  });

  it('of a fault that a technique has with its parts are found there', () => {
    for (const technique of everythingThrown.filter(isSeries))
      for (const part of partsOf(technique)) expect(picturesOf(technique), technique).to.include(part);
    expect(existsSync(join(stillsFolder, 'any', 'st.width.fault.webp'))).to.equal(true);
    expect(stillsOf('jab').some(({ name }) => name === 'st.width.fault')).to.equal(false);
  });

  it('are cut to what each row is about, as it ships', async () => {
    const shipped = JSON.parse(readFileSync(join(stillsFolder, '..', 'areas.json'), 'utf8')) as unknown;
    expect(await stillAreas(), 'bin/simulate stills makes it anew').to.deep.equal(shipped);
  }).timeout(60_000);

  it('are cut round the points, with room, never out of the picture and never to grain', () => {
    const share = fc.double({ min: -0.2, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(share, share), { minLength: 1, maxLength: 8 }), (points) => {
        const [left, top, size] = areaRound(points).map((thousandths) => thousandths / 1000) as [number, number, number];
        expect(size).to.be.within(0.3, 1);
        for (const from of [left, top]) {
          expect(from).to.be.at.least(0);
          expect(from + size).to.be.at.most(1.0011);
        }
        for (const [x, y] of points.filter((point) => point.every((one) => one >= 0 && one <= 1))) {
          expect(x).to.be.within(left - 0.001, left + size + 0.001);
          expect(y).to.be.within(top - 0.001, top + size + 0.001);
        }
      }),
    );
  });
});
