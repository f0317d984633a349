import { attemptsIn, eightCall, matchAttempts, parseRecipe, techniquesOf } from '../calls/index.ts';
import type { Catalogue, TechniqueId } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import { thrownInSet, type CourseSet } from './course.ts';
import type { SetLook } from './readiness.ts';

/** A round of a film with what was called in it and what was tagged. */
export interface CalledRound {
  day: string;
  /** A recipe, in words. */
  planned: string;
  /** In order of time. */
  thrown: readonly { technique: TechniqueId; time: Ms }[];
}

/** How a set went in the last round in which it was called; undefined when it never was. @param rounds oldest first */
export function lastOfSet(set: CourseSet, rounds: readonly CalledRound[], catalogue: Catalogue): SetLook | undefined {
  const asked = thrownInSet(set, catalogue);
  if (!asked) return undefined;
  const isIt = (techniques: readonly TechniqueId[]): boolean => techniques.join(' ') === asked.join(' ');
  for (const { day, planned, thrown } of rounds.toReversed()) {
    const parsed = parseRecipe(planned, { book: eightCall, catalogue });
    if (!parsed.ok || parsed.recipe.kind === 'free') continue;
    const turns = parsed.recipe.combinations.map((one) => isIt(techniquesOf(one)));
    const attempts = attemptsIn(thrown).filter((_, turn) => turns[turn % turns.length]);
    if (attempts.length > 0) return { day, score: matchAttempts(asked, attempts).score, attempts: attempts.length };
  }
  return undefined;
}
