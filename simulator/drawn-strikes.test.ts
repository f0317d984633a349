import { numbersOfPoint, packTrack } from '@wax-fist/core/body';
import { drawnFrom, drawnPicture, drawnStrike } from '@wax-fist/core/compare';
import { views } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawnFolder, drawnOf, drawnTechniques } from './drawn-strikes.ts';

const moments = JSON.parse(readFileSync(join(drawnFolder, 'moments.json'), 'utf8')) as Record<string, unknown>;

describe('strikes that are drawn', () => {
  it('ship as the simulated trainee throws them: bin/simulate strikes writes them', () => {
    expect(Object.keys(moments)).to.deep.equal([...drawnTechniques]);
    for (const technique of drawnTechniques) {
      const drawn = drawnOf(technique);
      expect(moments[technique], technique).to.deep.equal(drawn.moments);
      const kept = readFileSync(join(drawnFolder, `${technique}.points`));
      expect(kept.equals(packTrack(drawn.room)), technique).to.equal(true);
    }
  });

  it('begin before they are launched, end after they are home, and stay in the picture from everywhere', () => {
    for (const technique of drawnTechniques) {
      const { moments: told, room } = drawnOf(technique);
      expect(told.launchFrame, technique).to.be.within(10, told.contactFrame - 1);
      expect(told.homeFrame, technique).to.be.within(told.contactFrame + 1, room.frames - 10);
      for (const view of views) {
        const { values } = drawnFrom(drawnStrike(told, room), view);
        for (let at = 0; at < values.length; at += numbersOfPoint) {
          expect(values[at], `${technique} ${view}`).to.be.within(0, drawnPicture.width);
          expect(values[at + 1], `${technique} ${view}`).to.be.within(0, drawnPicture.height);
        }
      }
    }
  });
});
