import type { MeasureAgreement, MeasuredRateOfSession, SessionMeasures } from '@wax-fist/contract/measures';
import { shippedCatalogue, usualSchool } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { measuredInWords } from '../checklists/measured-words.ts';
import { advisedAgainst, agreementInWords, enoughToTell } from './agreement-words.ts';
import { measuredRateInWords } from './rate-words.ts';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { furthestOut, ratesNobodyJudged, sheetRows, techniquesOnSheet, toldRate } from './sheet-rows.ts';
import { opponentOf, statureOf } from './stature-of.ts';

const rate = (change: Partial<MeasuredRateOfSession> = {}): MeasuredRateOfSession => ({
  ...{ technique: 'jab', checkpointId: 'gd.return-line', view: 'lead-side', strikes: 58, counts: false },
  ...{ rate: 0.53, low: 0.44, high: 0.62, clean: 27, watch: 0, fault: 31, amiss: { value: 0.56, doubt: 0.16 } },
  ...change,
});

describe('a rate by measures, in words', () => {
  it('is how many of how many, how sure, and by how much: in centimetres where the stature is known', () => {
    expect(measuredRateInWords(rate(), 'return-drop', 170)).to.equal('31 of 58, 53% (44%–62%), on these 14 ± 4 cm');
    expect(measuredRateInWords(rate(), 'return-drop', null)).to.equal('31 of 58, 53% (44%–62%), on these 0.56 ± 0.16 forearms');
    expect(measuredRateInWords(rate({ amiss: null }), 'trunk-lean', 170)).to.equal('31 of 58, 53% (44%–62%)');
  });

  it('is no number where the measure alone says next to nothing', () => {
    expect(measuredRateInWords(rate({ low: 0.02, high: 0.9 }), 'return-drop', 170)).to.equal('cannot tell by itself (2%–90%)');
    expect(measuredRateInWords(rate({ low: 0.3, high: 0.95, amiss: null }), 'return-drop', 170)).to.include('(30%–95%)');
  });

  it('of a length is never said to be known better than to a centimetre, and of an angle never in centimetres', () => {
    expect(measuredInWords('return-drop', { value: 0.1, doubt: 0.001 }, 170)).to.equal('2 ± 1 cm');
    expect(measuredInWords('trunk-lean', { value: 11.6, doubt: 2.2 }, 170)).to.equal('12° ± 2°');
    expect(measuredInWords('foot-hand', { value: -52, doubt: 29 }, 170)).to.equal('−52 ms ± 29 ms');
    expect(measuredInWords('exposure-time', { value: -92, doubt: 169 }), 'no time is shorter than none').to.equal(
      '0 ms ± 169 ms',
    );
    expect(measuredInWords('guard-height', { value: -0.4, doubt: 0.1 }, 170)).to.equal('−9 ± 2 cm');
    expect(measuredInWords('snap-ratio', { value: 1.5, doubt: 0.12 }, 170)).to.equal('1.5 ± 0.12');
  });
});

describe('what measures say of a session', () => {
  it('is told from the side that says most, and not at all where no side says anything', () => {
    const rates = [rate({ low: 0.1, high: 0.6 }), rate({ view: 'front' }), rate({ checkpointId: 'st.lean', low: 0, high: 0.9 })];
    expect(toldRate(rates, 'jab', 'gd.return-line')!.view).to.equal('front');
    expect(toldRate(rates, 'jab', 'st.lean')).to.equal(undefined);
    expect(toldRate(rates, 'cross', 'gd.return-line')).to.equal(undefined);
  });

  it('names what nobody has judged and is likely amiss, worst first', () => {
    const rates = [
      rate({ checkpointId: 'st.chin', low: 0.2 }),
      rate({ checkpointId: 'st.lean', low: 0.5, high: 0.7 }),
      rate({ checkpointId: 'st.knees', fault: 0.3, low: 0, high: 0.1 }),
      rate(),
    ];
    const named = ratesNobodyJudged(rates, 'jab', ['gd.return-line']).map(({ checkpointId }) => checkpointId);
    expect(named).to.deep.equal(['st.lean', 'st.chin']);
  });
});

describe('a sheet of strikes', () => {
  const strike = (strikeId: string, technique = 'jab', at = 1000) => ({
    ...{ strikeId, technique, at, filmId: 'film', view: 'lead-side' as const, contactFrame: 30 },
  });
  const value = (strikeId: string, checkpointId: string, number: number) => ({
    ...{ strikeId, checkpointId, value: number, doubt: 0.1, shared: 0.05, degrees: 3 as const },
  });
  const measures: SessionMeasures = {
    strikes: [strike('a'), strike('b'), strike('c', 'cross'), strike('d', 'lead-hook'), strike('e')],
    values: [
      value('a', 'gd.return-line', 0.1),
      value('b', 'gd.return-line', 0.6),
      value('e', 'gd.return-line', 0.3),
      value('a', 'st.lean', 8),
      value('c', 'st.lean', 8),
      value('a', 'st.width', 1),
    ],
    rates: [rate()],
  };
  const rows = (order: 'amiss' | 'walk') => sheetRows(measures, 'jab', shippedCatalogue, { school: usualSchool }, order);

  it('is of techniques that something was measured of, the commonest first', () => {
    expect(techniquesOnSheet(measures)).to.deep.equal(['jab', 'cross']);
  });

  it('has a row for what this side can show, in the order that was asked for', () => {
    expect(rows('amiss').map(({ checkpointId }) => checkpointId)).to.deep.equal(['gd.return-line', 'st.lean']);
    expect(rows('walk').map(({ checkpointId }) => checkpointId)).to.deep.equal(['st.lean', 'gd.return-line']);
    expect(sheetRows(measures, 'no-such-thing', shippedCatalogue, { school: usualSchool }, 'walk')).to.deep.equal([]);
  });

  it('has what whoever holds does by itself, at the end, over strikes of every technique', () => {
    const held = {
      ...measures,
      values: [...measures.values, value('a', 'ph.head-clear', 0.05), value('d', 'ph.head-clear', 0.3)],
    };
    expect(techniquesOnSheet(held), 'of the hook itself nothing is measured').to.deep.equal(['jab', 'cross', 'holding']);
    const ofHolder = sheetRows(held, 'holding', shippedCatalogue, { school: usualSchool }, 'walk');
    expect(ofHolder.map(({ checkpointId, marks }) => [checkpointId, marks.map(({ strikeId }) => strikeId)])).to.deep.equal([
      ['ph.head-clear', ['a', 'd']],
    ]);
    expect(
      sheetRows(held, 'jab', shippedCatalogue, { school: usualSchool }, 'walk').map(({ checkpointId }) => checkpointId),
    ).to.not.include('ph.head-clear');
  });

  it('has what is told beside a row next to it, with no verdict hanging on it', () => {
    const both = {
      ...measures,
      values: [...measures.values, value('a', 'home-miss', 0.9), value('b', 'home-miss', 0.1), value('a', 'holder-lean', 30)],
    };
    const jabs = (order: 'amiss' | 'walk') => sheetRows(both, 'jab', shippedCatalogue, { school: usualSchool }, order);
    const named = jabs('walk').map(({ checkpointId, beside }) => [checkpointId, beside]);
    expect(named).to.deep.equal([
      ['st.lean', undefined],
      ['gd.return-line', undefined],
      ['home-miss', 'Return line'],
    ]);
    const row = jabs('amiss').at(-1)!;
    expect([row.name, row.rate, furthestOut(row).map(({ strikeId }) => strikeId)]).to.deep.equal(['Home miss', undefined, ['a']]);
    const ofHolder = sheetRows(both, 'holding', shippedCatalogue, { school: usualSchool }, 'walk');
    expect(ofHolder.map(({ checkpointId, beside }) => [checkpointId, beside])).to.deep.equal([
      ['holder-lean', 'Pads at the ribs'],
    ]);
  });

  it('is told in centimetres of whoever it is measured of', () => {
    const [trainee, holder] = [{ stature: 170 }, { stature: 185 }] as unknown as [
      SessionDetail['trainee'],
      SessionDetail['trainee'],
    ];
    expect(statureOf({ trainee, holder }, 'gd.return-line')).to.equal(170);
    expect(statureOf({ trainee, holder }, 'ph.head-clear')).to.equal(185);
    expect(statureOf({ trainee, holder: null }, 'ph.head-clear')).to.equal(null);
    expect(opponentOf({ trainee, holder })).to.be.closeTo(185 / 170, 1e-9);
    expect(opponentOf({ trainee, holder: null })).to.equal(undefined);
  });

  it('leads to the strikes that are furthest from clean', () => {
    const [line] = rows('amiss');
    expect(line!.marks).to.have.length(3);
    expect(furthestOut(line!).map(({ strikeId }) => strikeId)).to.deep.equal(['b', 'e']);
  });
});

describe('how a measure goes along with the coaches, in words', () => {
  const agreement = (change: Partial<MeasureAgreement> = {}): MeasureAgreement => ({
    ...{ checkpointId: 'st.lean', counts: false, by: null, coarse: false, measured: 200, strikes: 40 },
    ...{ same: 0.9, kappa: 0.7, bias: 0.1, ...change },
  });

  it('says how much is more than chance, and to which side it leans', () => {
    expect(agreementInWords(agreement())).to.deep.equal({ kappa: 'substantial', bias: '10 points stricter than the coaches' });
    expect(agreementInWords(agreement({ bias: -0.2, kappa: 0.1 }))).to.deep.equal({
      ...{ kappa: 'hardly any', bias: '20 points milder than the coaches' },
    });
    expect(agreementInWords(agreement({ bias: 0.01, kappa: null }))).to.deep.equal({
      ...{ kappa: 'all say the same', bias: 'to neither side' },
    });
  });

  it('says nothing of a few strikes, and advises against what differs in one of five', () => {
    expect(enoughToTell(agreement({ strikes: 7 }))).to.equal(false);
    expect(enoughToTell(agreement({ same: null }))).to.equal(false);
    expect(advisedAgainst(agreement({ same: 0.7 }))).to.equal(true);
    expect([advisedAgainst(agreement()), advisedAgainst(agreement({ same: 0.2, strikes: 3 }))]).to.deep.equal([false, false]);
  });
});
