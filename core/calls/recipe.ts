import { callsOf, techniquesOf, type Combination } from './combination.ts';
import { matchAttempts, type SetSays } from './match.ts';
import { parseCombination, type CallError, type Reading } from './parse.ts';

/** What a round is to be: combinations in turn until the bell, or free within bounds. */
export type Recipe =
  | { kind: 'in turn'; combinations: readonly Combination[] }
  | { kind: 'free'; fewest: number; most: number; thenMove: boolean };
/** The plan of a round, read; or everything in it that cannot be. */
export type ParsedRecipe = { ok: true; recipe: Recipe } | { ok: false; errors: readonly CallError[] };

const free = /^\s*free\b\s*,?\s*(?:(\d+)\s*(?:to|-|–)\s*(\d+))?\s*,?\s*((?:and |then )?move)?\s*$/i;
const ladder = /^(\s*ladder\b[\s:]*)(.*)$/is;

/**
 * Reads a round's recipe: combinations with `;` or a new line between, thrown in turn; `ladder 1-2-3` for 1, 1-2, 1-2-3;
 * `free, 1 to 4 then move` for a free round.
 */
export function parseRecipe(text: string, reading: Reading): ParsedRecipe {
  const met = free.exec(text);
  if (met) {
    const [fewest, most] = [Number(met[1] ?? 1), Number(met[2] ?? 4)];
    if (fewest > most)
      return { ok: false, errors: [{ at: 0, length: text.length, says: 'The smaller number comes first.', nearest: [] }] };
    return { ok: true, recipe: { kind: 'free', fewest, most, thenMove: Boolean(met[3]) } };
  }
  const combinations: Combination[] = [];
  const errors: CallError[] = [];
  let at = 0;
  for (const part of text.split(/[;\n]/)) {
    const steps = ladder.exec(part);
    const before = steps ? steps[1]!.length : 0;
    const said = steps ? steps[2]! : part;
    if (said.trim()) {
      const parsed = parseCombination(said, reading);
      if (!parsed.ok) errors.push(...parsed.errors.map((error) => ({ ...error, at: error.at + at + before })));
      else if (steps) combinations.push(...callsOf(parsed.combination).map((_, place, all) => all.slice(0, place + 1)));
      else combinations.push(parsed.combination);
    }
    at += part.length + 1;
  }
  if (errors.length === 0 && combinations.length === 0)
    errors.push({ at: 0, length: 0, says: 'Nothing is planned.', nearest: [] });
  return errors.length > 0 ? { ok: false, errors } : { ok: true, recipe: { kind: 'in turn', combinations } };
}

/** What was thrown, combination by combination, against a recipe: each one of it with its own attempts, in turn. */
export function matchRecipe(
  recipe: Recipe,
  seen: readonly (readonly string[])[],
): { planned: readonly string[]; says: SetSays }[] {
  if (recipe.kind === 'free') return [];
  return recipe.combinations.map((combination, place) => {
    const planned = techniquesOf(combination);
    return {
      planned,
      says: matchAttempts(
        planned,
        seen.filter((_, turn) => turn % recipe.combinations.length === place),
      ),
    };
  });
}

/** How many combinations of a free round kept to its bounds. */
export const withinBounds = ({ fewest, most }: { fewest: number; most: number }, seen: readonly (readonly string[])[]): number =>
  seen.filter(({ length }) => length >= fewest && length <= most).length;
