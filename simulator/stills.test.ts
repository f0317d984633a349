import { checkpointIn, shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { existsSync, statSync } from 'node:fs';
import { everythingThrown } from './motion/thrown.ts';
import { faultModels } from './motion/fault.ts';
import { pathOf, stillsFolder, stillsOf } from './stills.ts';

describe('reference stills', () => {
  for (const technique of everythingThrown) {
    it(`of ${technique} ship: how it should look from wherever it is judged, and every fault that can be shown`, () => {
      const stills = stillsOf(technique);
      for (const still of stills) {
        const path = pathOf(stillsFolder, still);
        expect(existsSync(path), `${still.technique}/${still.name}: bin/wax stills makes it`).to.equal(true);
        expect(statSync(path).size).to.be.within(1500, 60_000);
      }
      const { checkpoints } = techniqueIn(shippedCatalogue, technique);
      const views = new Set(checkpoints.map((id) => checkpointIn(shippedCatalogue, id).views[0]));
      for (const view of views)
        expect(
          stills.some((still) => !still.fault && still.view === view),
          view,
        ).to.equal(true);
      const faults = faultModels.filter(({ strikes }) => strikes.includes(technique)).map(({ id }) => id);
      expect(stills.flatMap(({ fault }) => fault ?? [])).to.have.members(faults);
    });
  }
});
