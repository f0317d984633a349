import { eightCall, parseCombination, sixCall, type CallBook, type CallError, type Combination } from '@wax-fist/core/calls';
import { shippedCatalogue, type Stance } from '@wax-fist/core/technique';

/** The books that ship, by a short name. */
export const books: Readonly<Record<string, CallBook>> = { six: sixCall, eight: eightCall };
export const bookNames = Object.keys(books);

/** A combination that cannot be read, with a sign under each place. */
export class BadCombination extends Error {
  constructor(text: string, errors: readonly CallError[]) {
    const told = errors.map(({ at, length, says, nearest }) => {
      const sign = `${' '.repeat(at)}${'^'.repeat(Math.max(1, length))}`;
      return `${text}\n${sign} ${says}${nearest.length > 0 ? ` Did you mean ${nearest.join(', ')}?` : ''}`;
    });
    super(told.join('\n'));
  }
}

/** @throws BadCombination */
export function readCombination(text: string, book: string, stance: Stance = 'orthodox'): Combination {
  const parsed = parseCombination(text, { book: books[book]!, catalogue: shippedCatalogue, stance });
  if (!parsed.ok) throw new BadCombination(text, parsed.errors);
  return parsed.combination;
}
