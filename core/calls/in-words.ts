import { handOf, techniqueIn, type Catalogue, type Stance, type TechniqueId } from '../technique/index.ts';
import { numberOf, type CallBook } from './book.ts';
import { callsOf, type Combination, type CombinationItem } from './combination.ts';
import { nameWithSide, writtenName } from './vocabulary.ts';

/** Ends or begins with a number or a bracket: what stands beside it cannot be taken for a part of its name. */
const endsShort = /(\d[b]?|\))$/;
const beginsShort = /^(f?\d|\()/;

/** Writes a combination with a way to write each technique. Names are parted by commas, numbers by a stroke if there are any. */
function written(items: Combination, say: (technique: TechniqueId) => string): string {
  const one = (item: CombinationItem): string => {
    if (item.kind === 'pause') return 'pause';
    if (item.kind === 'repeat') {
      const [only] = item.items;
      const inside = written(item.items, say);
      if (item.items.length > 1 || only!.kind === 'repeat') return `(${inside})x${item.times}`;
      // “jabx2” would be a word.
      return endsShort.test(inside) ? `${inside}x${item.times}` : `${inside} x${item.times}`;
    }
    const said = [item.technique, ...item.together].map(say).join(' + ');
    if (!item.feint) return said;
    return beginsShort.test(said) ? `f${said}` : `feint ${said}`;
  };
  return items.map(one).reduce((text, next) => `${text}${endsShort.test(text) && beginsShort.test(next) ? '-' : ', '}${next}`);
}

/** In the numbers of a book; what has no number there is written by its name. */
export const sayInNumbers = (combination: Combination, book: CallBook, catalogue: Catalogue): string =>
  written(combination, (technique) => numberOf(book, technique) ?? writtenName(catalogue, technique));

/** Techniques of a combination that a book has no number for, each once, by name. Defences and moves never have one. */
export const withoutNumber = (combination: Combination, book: CallBook, catalogue: Catalogue): string[] => [
  ...new Set(
    callsOf(combination)
      .filter(({ technique }) => techniqueIn(catalogue, technique).kind === 'hand' && !numberOf(book, technique))
      .map(({ technique }) => writtenName(catalogue, technique)),
  ),
];

/** A combination in the names of its techniques, as one would read it out. */
export const sayInWords = (combination: Combination, catalogue: Catalogue): string =>
  written(combination, (technique) => writtenName(catalogue, technique));

/** In words with left and right, as somebody who stands so throws it. */
export const sayWithHands = (combination: Combination, catalogue: Catalogue, stance: Stance): string =>
  written(combination, (technique) => {
    const { side, name } = nameWithSide(catalogue, technique);
    return side ? `${handOf(side, stance)} ${name}` : name;
  });
