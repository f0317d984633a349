import { expect } from 'chai';
import { actInWords, changedInWords, kindName, placeOf, thingInWords } from './journal-words.ts';

describe('a line of the journal, in words', () => {
  it('says what a value was and is, and names what else was changed', () => {
    const values = { role: ['coach', 'assistant'] as [unknown, unknown] };
    expect(changedInWords({ kind: 'film', act: 'changed', fields: ['password_hash', 'role'], values })).to.equal(
      'role: coach → assistant, password hash',
    );
    expect(changedInWords({ kind: 'film', act: 'added', fields: [], values: { until: [null, '2027-01-01'] } })).to.equal(
      'until: 2027-01-01',
    );
    expect(changedInWords({ kind: 'film', act: 'removed', fields: [], values: { state: ['opened', null] } })).to.equal(
      'state: opened',
    );
    expect(changedInWords({ kind: 'film', act: 'saw', fields: [], values: null })).to.equal('');
  });

  it('leads to what is still there, and tells a kind that it does not know by its table', () => {
    expect(placeOf({ kind: 'film', thing: '1', act: 'changed' })).to.deep.equal({ name: 'bench', params: { filmId: '1' } });
    expect(placeOf({ kind: 'film', thing: '1', act: 'removed' })).to.equal(undefined);
    expect(kindName('brand_new')).to.equal('brand new');
  });

  it('says of what was removed what it was, and that it came back', () => {
    const gone = {
      act: 'added' as const,
      kind: 'removal',
      fields: [],
      values: { kind: [null, 'training_session'] as [unknown, unknown] },
    };
    expect(`${actInWords(gone)} ${thingInWords(gone)}`).to.equal('removed, for a day to be put back, a session');
    const back = { act: 'removed' as const, kind: 'removal', fields: [], values: { kind: ['film', null] as [unknown, unknown] } };
    expect(`${actInWords(back)} ${thingInWords(back)}`).to.equal('put back, or removed for good, a film');
    expect(changedInWords(back)).to.equal('');
    expect(actInWords({ act: 'signed-in', kind: 'account', values: null })).to.equal('signed in');
  });
});
