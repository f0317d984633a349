import { expect } from 'chai';
import fc from 'fast-check';
import { isListOfText, remember, remembered } from './remembered.ts';

describe('what a browser remembers', () => {
  const { localStorage } = globalThis;
  const kept = new Map<string, string>();
  let full = false;
  before(() =>
    Object.assign(globalThis, {
      localStorage: {
        getItem: (name: string) => kept.get(name) ?? null,
        setItem: (name: string, value: string) => {
          if (full) throw new Error('QuotaExceededError');
          kept.set(name, value);
        },
        removeItem: (name: string) => kept.delete(name),
      },
    }),
  );
  beforeEach(() => {
    kept.clear();
    full = false;
  });
  after(() => Object.assign(globalThis, { localStorage }));

  it('comes back as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.string()), (value) => {
        remember('stars', value);
        expect(remembered('stars', isListOfText)).to.deep.equal(value);
      }),
    );
  });

  it('is nothing where there is rubbish, and never keeps a page shut', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json(), fc.constantFrom('{', 'null', '[1]', '{"a":1}', 'undefined')), (rubbish) => {
        kept.set('stars', rubbish);
        const found = remembered('stars', isListOfText);
        expect(found === undefined || isListOfText(found)).to.equal(true);
      }),
    );
  });

  it('is forgotten when told to, and a browser that keeps nothing is no error', () => {
    remember('stars', ['a']);
    remember('stars', undefined);
    expect(remembered('stars', isListOfText)).to.equal(undefined);
    full = true;
    expect(() => remember('stars', ['b'])).to.not.throw();
  });
});
