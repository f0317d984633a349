import { expect } from 'chai';
import fc from 'fast-check';
import {
  gravest,
  latestBy,
  oneViewEach,
  saidLater,
  seen,
  tallyOf,
  tallySum,
  verdicts,
  weightedFaults,
  type Verdict,
} from './index.ts';

const given = fc.array(fc.constantFrom(...verdicts), { maxLength: 60 });

describe('tally', () => {
  it('counts every verdict once', () => {
    expect(tallyOf(['clean', 'fault', 'watch', 'cant-see', 'fault'])).to.deep.equal({ clean: 1, watch: 1, fault: 2, cantSee: 1 });
    expect(tallyOf([])).to.deep.equal({ clean: 0, watch: 0, fault: 0, cantSee: 0 });
  });

  it('never counts “can’t see” as seen, and a watch as half a fault', () => {
    fc.assert(
      fc.property(given, (list) => {
        const tally = tallyOf(list);
        expect(seen(tally)).to.equal(list.filter((verdict) => verdict !== 'cant-see').length);
        expect(weightedFaults(tally)).to.be.at.most(seen(tally));
        expect(weightedFaults(tallyOf([...list, 'watch'])) - weightedFaults(tally)).to.equal(0.5);
      }),
    );
  });

  it('adds up like the lists it was made of', () => {
    fc.assert(
      fc.property(given, given, (a, b) => {
        expect(tallySum(tallyOf(a), tallyOf(b))).to.deep.equal(tallyOf([...a, ...b]));
      }),
    );
  });
});

describe('gravest verdict', () => {
  const table: [Verdict[], Verdict | undefined][] = [
    [[], undefined],
    [['cant-see'], 'cant-see'],
    [['cant-see', 'clean'], 'clean'],
    [['clean', 'watch'], 'watch'],
    [['watch', 'clean', 'fault'], 'fault'],
  ];
  for (const [list, expected] of table) {
    it(`of ${list.join(', ') || 'nothing'} is ${expected}`, () => expect(gravest(list)).to.equal(expected));
  }
});

describe('what was said later', () => {
  const statements = fc.uniqueArray(
    fc.record({ id: fc.uuid(), at: fc.integer({ min: 0, max: 5 }), about: fc.constantFrom('a', 'b') }),
    { selector: ({ id }) => id, minLength: 1, maxLength: 20 },
  );
  const entries = statements.map((list) =>
    list.map(({ id, at, about }) => ({ id, about, saidAt: new Date(Date.UTC(2026, 0, 1) + at).toISOString() })),
  );

  it('is the same in whatever order the statements arrive', () => {
    fc.assert(
      fc.property(entries, fc.infiniteStream(fc.nat()), (list, random) => {
        const shuffled = list.map((entry) => ({ entry, place: random.next().value })).sort((a, b) => a.place - b.place);
        const one = latestBy(list, ({ about }) => about);
        const other = latestBy(
          shuffled.map(({ entry }) => entry),
          ({ about }) => about,
        );
        expect(one.get('a')).to.equal(other.get('a'));
        expect(one.get('b')).to.equal(other.get('b'));
      }),
    );
  });

  it('is one of any two different statements, never both', () => {
    fc.assert(
      fc.property(entries, ([first, second]) => {
        if (first && second) expect(saidLater(first, second)).to.not.equal(saidLater(second, first));
      }),
    );
  });

  it('does not depend on how the zone is written', () => {
    const early = { id: 'b', saidAt: '2026-05-01T10:00:00.000Z' };
    const late = { id: 'a', saidAt: '2026-05-01T12:00:00.001+02:00' };
    expect(saidLater(late, early)).to.equal(true);
  });
});

describe('two cameras on one round', () => {
  const row = (view: 'front' | 'lead-side', clean: number, cantSee = 0, checkpointId = 'gd.height') => ({
    sessionId: 's',
    technique: 'jab',
    checkpointId,
    view,
    tally: { clean, watch: 0, fault: 0, cantSee },
  });

  it('count each strike once, from the view that saw most', () => {
    const rows = oneViewEach([row('front', 3, 20), row('lead-side', 9), row('front', 12, 0, 'st.width')]);
    expect(rows.map(({ view, checkpointId }) => [checkpointId, view])).to.deep.equal([
      ['gd.height', 'lead-side'],
      ['st.width', 'front'],
    ]);
  });

  it('keep the first of two that saw as much', () => {
    expect(oneViewEach([row('lead-side', 5), row('front', 5)])[0]!.view).to.equal('lead-side');
  });
});
