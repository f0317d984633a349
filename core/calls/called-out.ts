import { handOfTechnique } from './hand-of.ts';
import type { Catalogue, TechniqueId } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import type { CallBook } from './book.ts';
import { callsOf, type Combination } from './combination.ts';
import type { Recipe } from './recipe.ts';

/** A combination that is called at a time of a round. */
export interface CalledOut {
  /** From the beginning of the round. */
  at: Ms;
  combination: Combination;
}

/** How calls follow one another. */
export interface Pace {
  /** From the end of a combination to the next call. */
  between: Ms;
  /** What one strike of a combination takes. */
  aStrike: Ms;
}
/** Unhurried: about eight calls a minute of one or two strikes each. */
export const usualPace: Pace = { between: 6000, aStrike: 500 };

/** Nothing is called before one stands, or so shortly before the bell that it cannot be thrown. */
const [first, last]: readonly [Ms, Ms] = [2000, 3000];

/** A free combination within bounds: hands of the book, no hand three times in a row, and a move after it where it is asked for. */
function freeCombination(
  { fewest, most, thenMove }: Extract<Recipe, { kind: 'free' }>,
  hands: readonly TechniqueId[],
  catalogue: Catalogue,
  random: () => number,
): Combination {
  const pick = <One>(list: readonly One[]): One => list[Math.floor(random() * list.length)]!;
  const length = fewest + Math.floor(random() * (most - fewest + 1));
  const thrown: TechniqueId[] = [];
  while (thrown.length < length) {
    const [one, two] = thrown.slice(-2).map((id) => handOfTechnique(catalogue, id));
    const tired = thrown.length >= 2 && one === two ? one : undefined;
    const fit = hands.filter((id) => tired === undefined || handOfTechnique(catalogue, id) !== tired);
    thrown.push(pick(fit.length > 0 ? fit : hands));
  }
  if (thenMove && catalogue.techniques.has('quarter-turn')) thrown.push('quarter-turn');
  return thrown.map((technique) => ({ kind: 'call', technique, feint: false, together: [] }));
}

/**
 * What is called in a round, and when: combinations in turn, or free ones by chance within their bounds.
 * @param random numbers from 0 up to 1; from the same seed come the same calls
 */
export function callsInRound(
  recipe: Recipe,
  {
    work,
    pace = usualPace,
    book,
    catalogue,
    random,
  }: { work: Ms; pace?: Pace; book: CallBook; catalogue: Catalogue; random: () => number },
): CalledOut[] {
  const hands = Object.values(book.calls).filter((id) => catalogue.techniques.get(id)?.kind === 'hand');
  if (recipe.kind === 'free' && hands.length === 0) return [];
  const calls: CalledOut[] = [];
  for (let at = first; at <= work - last;) {
    const combination =
      recipe.kind === 'free'
        ? freeCombination(recipe, hands, catalogue, random)
        : recipe.combinations[calls.length % recipe.combinations.length]!;
    calls.push({ at, combination });
    at += pace.between + callsOf(combination).length * pace.aStrike;
  }
  return calls;
}
