import { eightCall, parseRecipe } from '../calls/index.ts';
import type { Catalogue } from '../technique/index.ts';
import type { Drill } from './drill.ts';

/** What is wrong with a drill, in words, by its place; empty when nothing is. @param others every drill it may lead to */
export function drillProblems(
  drill: Drill,
  catalogue: Catalogue,
  others: ReadonlySet<string>,
): { place: string; says: string }[] {
  const problems: { place: string; says: string }[] = [];
  const say = (place: string, says: string): void => void problems.push({ place, says });
  for (const id of drill.trains)
    if (!catalogue.checkpoints.has(id)) say('trains', `There is no “${id}” among what is looked at.`);
  for (const id of drill.techniques) if (!catalogue.techniques.has(id)) say('techniques', `There is no technique “${id}”.`);
  if (drill.recipe !== null) {
    const parsed = parseRecipe(drill.recipe, { book: eightCall, catalogue });
    if (!parsed.ok) say('recipe', parsed.errors[0]!.says);
  }
  for (const place of ['easier', 'harder'] as const) {
    const other = drill[place];
    if (other === drill.id) say(place, 'A drill is no step from itself.');
    else if (other !== null && !others.has(other)) say(place, 'There is no such drill.');
  }
  return problems;
}
