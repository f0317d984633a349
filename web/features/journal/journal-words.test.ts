import { expect } from 'chai';
import { changedInWords, kindName, placeOf } from './journal-words.ts';

describe('a line of the journal, in words', () => {
  it('says what a value was and is, and names what else was changed', () => {
    const values = { role: ['coach', 'assistant'] as [unknown, unknown] };
    expect(changedInWords({ act: 'changed', fields: ['password_hash', 'role'], values })).to.equal(
      'role: coach → assistant, password hash',
    );
    expect(changedInWords({ act: 'added', fields: [], values: { until: [null, '2027-01-01'] } })).to.equal('until: 2027-01-01');
    expect(changedInWords({ act: 'removed', fields: [], values: { state: ['opened', null] } })).to.equal('state: opened');
    expect(changedInWords({ act: 'saw', fields: [], values: null })).to.equal('');
  });

  it('leads to what is still there, and tells a kind that it does not know by its table', () => {
    expect(placeOf({ kind: 'film', thing: '1', act: 'changed' })).to.deep.equal({ name: 'bench', params: { filmId: '1' } });
    expect(placeOf({ kind: 'film', thing: '1', act: 'removed' })).to.equal(undefined);
    expect(kindName('brand_new')).to.equal('brand new');
  });
});
