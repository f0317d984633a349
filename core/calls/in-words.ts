import { handOf, techniqueIn, type Catalogue, type Stance, type TechniqueId } from '../technique/index.ts';
import { numberOf, type CallBook } from './book.ts';
import { callsOf, type Combination, type CombinationItem } from './combination.ts';

/** Writes a combination with a way to write each technique. */
function written(items: Combination, say: (technique: TechniqueId) => string, between: string): string {
  const one = (item: CombinationItem): string => {
    if (item.kind === 'pause') return 'pause';
    if (item.kind === 'repeat') {
      const [only] = item.items;
      const inside = written(item.items, say, between);
      if (item.items.length > 1 || only!.kind === 'repeat') return `(${inside})x${item.times}`;
      // “jabx2” would be a word.
      return /\db?$/.test(inside) ? `${inside}x${item.times}` : `${inside} x${item.times}`;
    }
    const said = [item.technique, ...item.together].map(say).join(' + ');
    if (!item.feint) return said;
    return /^\d/.test(said) ? `f${said}` : `feint ${said}`;
  };
  return items.map(one).join(between);
}

const nameOf = (catalogue: Catalogue, technique: TechniqueId): string =>
  techniqueIn(catalogue, technique).name.replaceAll('–', ' ').toLowerCase();

/** In the numbers of a book; what has no number there is written by its name. */
export const sayInNumbers = (combination: Combination, book: CallBook, catalogue: Catalogue): string =>
  written(combination, (technique) => numberOf(book, technique) ?? nameOf(catalogue, technique), '-');

/** Techniques of a combination that a book has no number for, each once, by name. Defences and moves never have one. */
export const withoutNumber = (combination: Combination, book: CallBook, catalogue: Catalogue): string[] => [
  ...new Set(
    callsOf(combination)
      .filter(({ technique }) => techniqueIn(catalogue, technique).kind === 'hand' && !numberOf(book, technique))
      .map(({ technique }) => nameOf(catalogue, technique)),
  ),
];

/** A combination in the names of its techniques, as one would read it out. */
export const sayInWords = (combination: Combination, catalogue: Catalogue): string =>
  written(combination, (technique) => nameOf(catalogue, technique), ', ');

/** In words with left and right, as somebody who stands so throws it. */
export function sayWithHands(combination: Combination, catalogue: Catalogue, stance: Stance): string {
  return written(
    combination,
    (technique) => {
      const { side, name } = techniqueIn(catalogue, technique);
      const hand = handOf(side, stance);
      const bare = name
        .replaceAll('–', ' ')
        .toLowerCase()
        .replace(/\b(lead|rear)\s+/, '');
      return hand ? `${hand} ${bare}` : bare;
    },
    ', ',
  );
}
