import { sayInWords } from './in-words.ts';
import { parseRecipe, type Recipe } from './recipe.ts';
import type { Reading } from './parse.ts';
import type { Catalogue } from '../technique/index.ts';

/** A recipe in words, so that it means the same by every call book. */
export const recipeInWords = (recipe: Recipe, catalogue: Catalogue): string =>
  recipe.kind === 'free'
    ? `free, ${recipe.fewest} to ${recipe.most}${recipe.thenMove ? ' then move' : ''}`
    : recipe.combinations.map((one) => sayInWords(one, catalogue)).join('; ');

/** What was typed by one book, in words; as it was typed where it cannot be read. */
export function asWords(typed: string, reading: Reading): string {
  const parsed = parseRecipe(typed, reading);
  return parsed.ok ? recipeInWords(parsed.recipe, reading.catalogue) : typed;
}
