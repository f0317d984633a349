import { checkpointIn, picturesOf, shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { everythingThrown, isSeries, partsOf } from './motion/technique/thrown.ts';
import { everyStill, pathOf, stillsFolder, stillsOf } from './stills.ts';

describe('reference stills', () => {
  it('ship, every one of them, and are small', () => {
    for (const still of everyStill()) {
      const path = pathOf(stillsFolder, still);
      expect(existsSync(path), `${still.folder}/${still.name}: bin/simulate stills makes it`).to.equal(true);
      expect(statSync(path).size, path).to.be.within(1500, 60_000);
    }
  });

  for (const technique of [...everythingThrown, 'holding' as const]) {
    it(`of ${technique} show how it should look from wherever it is judged`, () => {
      const stills = everyStill().filter(({ folder }) => folder === technique);
      const { checkpoints } = techniqueIn(shippedCatalogue, technique);
      const judged = checkpoints.map((id) => checkpointIn(shippedCatalogue, id)).filter(({ measure }) => measure !== 'ear');
      for (const view of new Set(judged.map(({ views }) => views[0]))) expect(stills.some((still) => !still.fault && still.view === view), view).to.equal(true); // prettier-ignore
    });
  }

  it('of a fault that a technique has with its parts are found there', () => {
    for (const technique of everythingThrown.filter(isSeries)) for (const part of partsOf(technique)) expect(picturesOf(technique), technique).to.include(part); // prettier-ignore
    expect(existsSync(join(stillsFolder, 'any', 'st.width.fault.webp'))).to.equal(true);
    expect(stillsOf('jab').some(({ name }) => name === 'st.width.fault')).to.equal(false);
  });
});
