import { expect } from 'chai';
import { consentOn, maySee, needsGuardian, type Consent } from './index.ts';

const given = (id: string, givenOn: string, change: Partial<Consent> = {}): Consent => ({
  ...{ id, givenOn, seenBy: 'coaches', asReference: false, until: null, withdrawnOn: null },
  ...change,
});

describe('consent to be filmed', () => {
  it('is the last word that was given, as long as it lasts', () => {
    const words = [given('b', '2026-03-01', { until: '2026-06-30' }), given('a', '2026-01-01')];
    const on = (day: string): string | undefined => consentOn(words, day)?.id;
    expect(['2025-12-31', '2026-01-01', '2026-03-01', '2026-06-30', '2026-07-01'].map(on)).to.deep.equal([
      ...[undefined, 'a', 'b', 'b', undefined],
    ]);
  });

  it('is none once it was withdrawn, whatever was said before, until it is given again', () => {
    const words = [given('a', '2026-01-01'), given('b', '2026-02-01', { withdrawnOn: '2026-02-02' })];
    expect(consentOn(words, '2026-03-01')).to.equal(undefined);
    expect(consentOn([...words, given('c', '2026-03-01')], '2026-03-01')?.id).to.equal('c');
  });

  it('lets see whom it names, and no more', () => {
    const club = given('a', '2026-01-01', { seenBy: 'club' });
    expect([maySee(club, 'coaches'), maySee(club, 'club'), maySee(club, 'anyone'), maySee(undefined, 'coaches')]).to.deep.equal([
      ...[true, true, false, false],
    ]);
  });

  it('is a guardian’s for whoever is not grown up', () => {
    expect([needsGuardian('child'), needsGuardian('youth'), needsGuardian('adult'), needsGuardian(null)]).to.deep.equal([
      ...[true, true, false, false],
    ]);
  });
});
