import { expect } from 'chai';
import fc from 'fast-check';
import {
  isOneStrike,
  isSeries,
  rowsOfPart,
  shippedCatalogue,
  techniqueIn,
  techniques,
  thrownAs,
  wholeChecklist,
} from './index.ts';

const series = techniques.filter(isSeries);
const place = fc
  .constantFrom(...series)
  .chain(({ id, parts }) => fc.record({ technique: fc.constant(id), part: fc.nat(parts.length - 1) }));
const rowsAt = (technique: string, part: number | null) =>
  rowsOfPart(wholeChecklist(shippedCatalogue, technique), shippedCatalogue, { technique, part });

describe('series', () => {
  it('consist of single strikes that are known', () => {
    expect(series.length).to.be.above(10);
    for (const { parts } of series)
      for (const part of parts) expect(isSeries(techniqueIn(shippedCatalogue, part)), part).to.equal(false);
  });

  it('throw at each place the strike that stands there, and as a whole what they are', () => {
    expect(thrownAs(shippedCatalogue, { technique: 'uppercut-bag-set', part: 5 })).to.equal('lead-hook');
    expect(thrownAs(shippedCatalogue, { technique: 'uppercut-bag-set', part: null })).to.equal('uppercut-bag-set');
    expect(thrownAs(shippedCatalogue, { technique: 'jab', part: null })).to.equal('jab');
    expect(thrownAs(shippedCatalogue, { technique: 'own.gone', part: 3 })).to.equal('own.gone');
  });

  it('have the moments of one strike at a place, and none as a whole', () => {
    fc.assert(
      fc.property(place, (tagged) => {
        expect(isOneStrike(shippedCatalogue, tagged)).to.equal(true);
        expect(isOneStrike(shippedCatalogue, { ...tagged, part: null })).to.equal(false);
      }),
    );
    expect(isOneStrike(shippedCatalogue, { technique: 'jab' })).to.equal(true);
    expect(isOneStrike(shippedCatalogue, { technique: 'pad-free' }), 'whoever holds calls what comes').to.equal(false);
  });

  it('are walked part by part without losing a row, and as a whole with every row', () => {
    for (const { id, parts } of series) {
      const whole = rowsAt(id, null).map(({ checkpoint }) => checkpoint.id);
      expect(whole).to.deep.equal(wholeChecklist(shippedCatalogue, id).map(({ checkpoint }) => checkpoint.id));
      const walked = new Set(parts.flatMap((_, part) => rowsAt(id, part).map(({ checkpoint }) => checkpoint.id)));
      expect([...walked], id).to.have.members(whole);
    }
  });

  it('are stood for before the first strike and left after the last', () => {
    fc.assert(
      fc.property(place, ({ technique, part }) => {
        const last = techniqueIn(shippedCatalogue, technique).parts.length - 1;
        for (const { checkpoint } of rowsAt(technique, part)) {
          if (checkpoint.phase === 'ready') expect(part, checkpoint.id).to.equal(0);
          if (checkpoint.phase === 'exit') expect(part, checkpoint.id).to.equal(last);
        }
      }),
    );
  });

  it('ask of each strike what it has of its own', () => {
    const asked = (part: number): string[] => rowsAt('jab-cross-step', part).map(({ checkpoint }) => checkpoint.id);
    expect(asked(0)).to.include('pv.sync').and.not.include('pv.rear-turn');
    expect(asked(1)).to.include.members(['pv.rear-turn', 'pv.recover']).and.not.include('pv.sync');
    expect(asked(0)).to.include('gd.return-line');
    expect(asked(1)).to.include('gd.return-line');
  });
});
