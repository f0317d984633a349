import { expect } from 'chai';
import fc from 'fast-check';
import { isMeasureId, shippedCatalogue, stances, techniques } from '../technique/index.ts';
import {
  bookProblems,
  callsOf,
  eightCall,
  leftOutShares,
  matchAttempts,
  matchCalls,
  matchRecipe,
  parseCombination,
  parseRecipe,
  readyBooks,
  sayInNumbers,
  sayInWords,
  sayWithHands,
  sixCall,
  techniquesOf,
  attemptsIn,
  withoutFeints,
  toTheBody,
  withinBounds,
  withoutNumber,
  type Call,
  type CallBook,
  type Combination,
} from './index.ts';

const reading = { book: sixCall, catalogue: shippedCatalogue };
function combination(text: string, book: CallBook = sixCall): Combination {
  const parsed = parseCombination(text, { ...reading, book });
  if (!parsed.ok) throw new Error(parsed.errors.map(({ says }) => says).join(' '));
  return parsed.combination;
}
const thrown = (text: string, book?: CallBook): string[] => techniquesOf(combination(text, book));

describe('a combination that is called', () => {
  const table: [text: string, thrown: string[]][] = [
    ['1-2', ['jab', 'cross']],
    ['1 2, 3', ['jab', 'cross', 'lead-hook']],
    ['1b-2b', ['body-jab', 'body-straight']],
    ['1x3', ['jab', 'jab', 'jab']],
    ['(1-2)x2-3', ['jab', 'cross', 'jab', 'cross', 'lead-hook']],
    ['1-2b-(3-2)x2', ['jab', 'body-straight', 'lead-hook', 'cross', 'lead-hook', 'cross']],
    ['jab, cross, weave', ['jab', 'cross', 'weave']],
    ['Jab Cross Roundhouse', ['jab', 'cross', 'rear-round']],
    ['1-2-rear round kick', ['jab', 'cross', 'rear-round']],
    ['slip-2-pull-2', ['slip', 'cross', 'pull-back', 'cross']],
    ['left hook, right hook', ['lead-hook', 'rear-hook']],
    ['1 + step, off', ['jab', 'step-and-recover', 'quarter-turn']],
    ['f1-2', ['cross']],
    ['feint jab, cross', ['cross']],
    ['feint, jab, feint', ['jab']],
    ['1-pause-2', ['jab', 'cross']],
    ['rising 45 kick, 2', ['rising-45', 'cross']],
    ['step-off round kick', ['step-off-round']],
    ['((1)x2)x2', ['jab', 'jab', 'jab', 'jab']],
    ['jab, slip, cross', ['jab', 'slip', 'cross']],
    ['jab, slip and cross', ['jab-cross-slip']],
    ['speed bag, front', ['speed-bag-front']],
    ['left jab; right cross. left hook to the body', ['jab', 'cross', 'lead-body-hook']],
    ['cross to the body', ['body-straight']],
    ['45 kick, 1', ['rising-45', 'jab']],
    ['1, x2', ['jab', 'jab']],
  ];
  for (const [text, expected] of table) it(text, () => expect(thrown(text)).to.deep.equal(expected));

  it('means another hand for a southpaw when left and right are said', () => {
    const parsed = parseCombination('left hook', { ...reading, stance: 'southpaw' });
    expect(parsed.ok && techniquesOf(parsed.combination)).to.deep.equal(['rear-hook']);
  });

  it('means what the book says', () => {
    expect(thrown('4-5-6')).to.deep.equal(['rear-hook', 'lead-uppercut', 'rear-uppercut']);
    expect(thrown('4-5-6', eightCall)).to.deep.equal(['lead-uppercut', 'rear-uppercut', 'overhand']);
  });

  const errors: [text: string, at: number, says: string, nearest?: string][] = [
    ['1-9-2', 2, 'Six-call has no 9', '1'],
    ['1-crosss', 2, 'not known', 'cross'],
    ['1-hook', 2, 'more than one', 'lead hook'],
    ['1-?-2', 2, 'means nothing'],
    ['(1-2', 0, 'never closed'],
    ['1-2)', 3, 'never opened'],
    ['x3-1', 0, 'nothing before'],
    ['1x99', 1, 'between 1 and'],
    ['()', 0, 'nothing in this bracket'],
    ['5b', 0, 'no lead uppercut to the body'],
    ['1+', 1, 'come after'],
    ['+1', 0, 'stands between'],
    ['', 0, 'Nothing is called'],
    ['feint 3b f', 9, 'not known'],
    ['((((((1)x50)x50)x50)x50)x50)x50', 0, 'More than'],
    ['(1 + step + slip + off + roll)x50 (1 + step + slip + off + roll)x50 1x50', 0, 'More than'],
    ['pause + 1', 6, 'nothing is thrown'],
    ['1 + pause', 2, 'nothing is thrown'],
    ['1+f2', 1, 'first can be a feint'],
    ['right jab', 0, 'not thrown with this side', 'jab'],
    ['('.repeat(20_000), 12, 'Brackets within brackets'],
  ];
  for (const [text, at, says, nearest] of errors) {
    it(`“${text.slice(0, 80)}” is told at its place`, () => {
      const parsed = parseCombination(text, reading);
      const [error] = parsed.ok ? [] : parsed.errors;
      expect(error, JSON.stringify(parsed)).to.include({ at });
      expect(error!.says).to.include(says);
      if (nearest) expect(error!.nearest).to.include(nearest);
    });
  }

  it('tells everything that is wrong at once', () => {
    const parsed = parseCombination('9-jabb-1b-8', reading);
    expect(parsed.ok ? [] : parsed.errors.map(({ at }) => at)).to.deep.equal([0, 2, 10]);
  });

  it('never breaks, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...Array.from('123 b-x()+,fjabcross?½é')) }), (text) => {
        const parsed = parseCombination(text, reading);
        if (parsed.ok) return;
        expect(parsed.errors).to.not.be.empty;
        for (const { at, length } of parsed.errors) expect(at >= 0 && at + length <= text.length + 1).to.equal(true);
      }),
    );
  });
});

const anyCall = fc.record({
  kind: fc.constant('call' as const),
  technique: fc.constantFrom(...techniques.map(({ id }) => id as string)),
  feint: fc.boolean(),
  together: fc.constantFrom<readonly string[]>([], ['step-and-recover']),
});
const anyCombination: fc.Arbitrary<Combination> = fc.array(
  fc.oneof(
    anyCall,
    fc.record({
      kind: fc.constant('repeat' as const),
      times: fc.integer({ min: 2, max: 4 }),
      items: fc.array(anyCall, { minLength: 1, maxLength: 3 }),
    }),
  ),
  { minLength: 1, maxLength: 6 },
);

describe('a combination that is said', () => {
  for (const book of readyBooks) {
    it(`in the numbers of ${book.name} means the same when it is read again`, () => {
      fc.assert(
        fc.property(anyCombination, (given) => {
          const said = sayInNumbers(given, book, shippedCatalogue);
          expect(callsOf(combination(said, book)), said).to.deep.equal(callsOf(given));
        }),
      );
    });
  }

  it('in words means the same when it is read again', () => {
    fc.assert(
      fc.property(anyCombination, (given) => {
        const said = sayInWords(given, shippedCatalogue);
        expect(callsOf(combination(said)), said).to.deep.equal(callsOf(given));
      }),
    );
  });

  for (const stance of stances) {
    it(`with the hands of an ${stance} trainee means the same when it is read again`, () => {
      fc.assert(
        fc.property(anyCombination, (given) => {
          const said = sayWithHands(given, shippedCatalogue, stance);
          const read = parseCombination(said, { ...reading, stance });
          expect(read.ok && callsOf(read.combination), said).to.deep.equal(callsOf(given));
        }),
      );
    });
  }

  it('of any two techniques, one after the other, is read as these two', () => {
    const ids = techniques.map(({ id }) => id as string);
    const call = (technique: string): Call => ({ kind: 'call', technique, feint: false, together: [] });
    const wrong: string[] = [];
    for (const one of ids)
      for (const other of ids) {
        const pair = [call(one), call(other)];
        const ways = [
          ...readyBooks.map((book) => ({ said: sayInNumbers(pair, book, shippedCatalogue), book })),
          { said: sayInWords(pair, shippedCatalogue), book: sixCall },
          { said: sayWithHands(pair, shippedCatalogue, 'orthodox'), book: sixCall },
        ];
        for (const { said, book } of ways) {
          const read = parseCombination(said, { ...reading, book });
          if (!read.ok || techniquesOf(read.combination).join() !== withoutFeints([one, other]).join()) wrong.push(said);
        }
      }
    expect(wrong).to.deep.equal([]);
  });

  it('goes from one book to the other, and says what has no number there', () => {
    const given = combination('1-4-(3-2)x2-5');
    expect(sayInNumbers(given, eightCall, shippedCatalogue)).to.equal('1, rear hook, (3-2)x2-4');
    expect(withoutNumber(given, eightCall, shippedCatalogue)).to.deep.equal(['rear hook']);
    expect(sayInNumbers(combination('8-2b', eightCall), sixCall, shippedCatalogue)).to.equal('4b-2b');
    expect(withoutNumber(combination('1-2'), eightCall, shippedCatalogue)).to.deep.equal([]);
  });

  it('is mirrored for the other lead', () => {
    const given = combination('1-2-3-rear round kick');
    expect(sayWithHands(given, shippedCatalogue, 'orthodox')).to.equal('left jab, right cross, left hook, right round kick');
    expect(sayWithHands(given, shippedCatalogue, 'southpaw')).to.equal('right jab, left cross, right hook, left round kick');
  });
});

describe('call books', () => {
  const known = (id: string): boolean => shippedCatalogue.techniques.has(id);
  it('that are ready-made are sound, and so is the way to the body', () => {
    for (const book of readyBooks) expect(bookProblems(book, known)).to.deep.equal([]);
    for (const pair of Object.entries(toTheBody)) for (const id of pair) expect(known(id) && !isMeasureId(id)).to.equal(true);
  });

  it('tell what is wrong with them', () => {
    const says = (calls: Record<string, string>): string[] =>
      bookProblems({ name: 'x', calls }, known).map((one) => `${one.place}: ${one.says}`);
    expect(says({})[0]).to.include('at least one');
    expect(says({ '1': 'jabb' })[0])
      .to.include('calls.1')
      .and.include('jabb');
    expect(says({ '0': 'jab' })[0]).to.include('1 to 99');
    expect(says({ '1': 'jab', '2': 'jab' })).to.have.length(2);
  });
});

describe('planned against seen', () => {
  it('leaves feints out of what was seen, and takes one by itself for no attempt', () => {
    const at = (technique: string, time: number) => ({ technique, time });
    const seen = [at('feint', 0), at('jab', 5000), at('feint', 5300), at('cross', 5600), at('feint', 12_000)];
    expect(attemptsIn(seen)).to.deep.equal([['jab', 'cross']]);
  });

  const kinds = (planned: string, seen: string): string[] =>
    matchCalls(Array.from(planned), Array.from(seen)).steps.map(({ kind }) => kind);

  it('finds what was left out, added, swapped and thrown instead', () => {
    expect(kinds('123', '123')).to.deep.equal(['as planned', 'as planned', 'as planned']);
    expect(kinds('123', '13')).to.deep.equal(['as planned', 'left out', 'as planned']);
    expect(kinds('13', '123')).to.deep.equal(['as planned', 'added', 'as planned']);
    expect(kinds('123', '132')).to.deep.equal(['as planned', 'swapped']);
    expect(kinds('123', '143')).to.deep.equal(['as planned', 'another', 'as planned']);
    expect(kinds('', '12')).to.deep.equal(['added', 'added']);
  });

  const list = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 9 });
  it('accounts for every call once, in order', () => {
    fc.assert(
      fc.property(list, list, (planned, seen) => {
        const { steps, score } = matchCalls(planned, seen);
        const places = (key: 'planned' | 'seen'): number[] =>
          steps.flatMap((step) => (key in step ? [(step as { planned: number; seen: number })[key]].flat() : []));
        expect(places('planned')).to.deep.equal(planned.map((_, place) => place));
        expect(places('seen')).to.deep.equal(seen.map((_, place) => place));
        expect(score).to.be.within(0, 1);
        expect(score === 1).to.equal(planned.join() === seen.join());
      }),
    );
  });

  it('is as far from there to here as from here to there', () => {
    fc.assert(fc.property(list, list, (a, b) => void expect(matchCalls(a, b).score).to.be.closeTo(matchCalls(b, a).score, 1e-9)));
  });

  it('shares the blame out: what is left out in any shortest way to tell it adds up to what is missing', () => {
    fc.assert(
      fc.property(list, list, (planned, seen) => {
        const shares = leftOutShares(planned, seen);
        for (const share of shares) expect(share).to.be.within(0, 1 + 1e-9);
        const leastLeft = Math.max(0, planned.length - seen.length);
        expect(shares.reduce((sum, share) => sum + share, 0)).to.be.at.least(leastLeft - 1e-9);
      }),
    );
    expect(leftOutShares(Array.from('aab'), Array.from('ab'))).to.deep.equal([0.5, 0.5, 0]);
    expect(leftOutShares(Array.from('abc'), Array.from('ac'))).to.deep.equal([0, 1, 0]);
  });

  it('shows the place that is always lost', () => {
    const says = matchAttempts(Array.from('1233'), [Array.from('123'), Array.from('1233'), Array.from('123'), Array.from('233')]);
    expect(says).to.deep.include({ attempts: 4, complete: 1 });
    // Of the two at the end nobody can say which was lost: each bears half.
    expect(says.leftOut).to.deep.equal([1, 0, 1, 1]);
    expect(matchAttempts(['jab'], []).attempts).to.equal(0);
  });
});

describe('a round’s recipe', () => {
  const parsed = (text: string) => parseRecipe(text, reading);
  it('has combinations in turn, ladders, and free rounds with bounds', () => {
    const inTurn = parsed('1; 1-1; 1-2x3');
    expect(inTurn.ok && inTurn.recipe.kind === 'in turn' && inTurn.recipe.combinations.map(techniquesOf)).to.deep.equal([
      ['jab'],
      ['jab', 'jab'],
      ['jab', 'cross', 'cross', 'cross'],
    ]);
    const ladder = parsed('ladder 1-2-3');
    expect(ladder.ok && ladder.recipe.kind === 'in turn' && ladder.recipe.combinations.map((one) => one.length)).to.deep.equal([
      1, 2, 3,
    ]);
    expect(parsed('free, 1 to 4 then move')).to.deep.equal({
      ok: true,
      recipe: { kind: 'free', fewest: 1, most: 4, thenMove: true },
    });
    expect(parsed('6x5 - 3x5').ok).to.equal(true);
  });

  it('tells the place of a mistake in the whole text', () => {
    const wrong = parsed('1-2; 3-77');
    expect(wrong.ok ? [] : wrong.errors[0]).to.include({ at: 7 });
    expect(parsed('free, 5 to 2').ok).to.equal(false);
    expect(parsed(' ; ').ok).to.equal(false);
  });

  it('is held against what was thrown, each combination with its own attempts', () => {
    const recipe = parsed('1-2; 3');
    if (!recipe.ok) throw new Error('The recipe is sound.');
    const says = matchRecipe(recipe.recipe, [['jab', 'cross'], ['lead-hook'], ['jab'], ['lead-hook']]);
    expect(says.map(({ says: { attempts, complete } }) => [attempts, complete])).to.deep.equal([
      [2, 1],
      [2, 2],
    ]);
    expect(says[0]!.says.leftOut).to.deep.equal([0, 1]);
    expect(withinBounds({ fewest: 1, most: 2 }, [['a'], ['a', 'b', 'c'], []])).to.equal(1);
  });
});
