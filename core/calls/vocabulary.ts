import { distance } from 'fastest-levenshtein';
import type { Catalogue, Stance, TechniqueId } from '../technique/index.ts';

/** Words shouted for what has a longer name. */
const shouted: Readonly<Record<string, TechniqueId>> = {
  pull: 'pull-back',
  step: 'step-and-recover',
  off: 'quarter-turn',
  switch: 'stance-swap',
  turn: 'quarter-turn',
  block: 'high-block',
  check: 'shin-check',
};

/** Lower case, with everything that is no letter or figure as a single space. */
export const plainWords = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Every way to name a technique in words, and the technique. */
export function vocabularyOf(catalogue: Catalogue): ReadonlyMap<string, TechniqueId> {
  const words = new Map<string, TechniqueId>(Object.entries(shouted));
  const names = [...catalogue.techniques.values()];
  // Names before what is also said, so that nobody's other name hides a name.
  for (const { id, alsoSaid } of names) for (const name of alsoSaid) words.set(plainWords(name), id);
  for (const { id, name } of names) words.set(plainWords(name), id).set(plainWords(id), id);
  return words;
}

/** Left and right said as lead and rear, for somebody who stands so. */
export function sidesAsLeads(words: string, stance: Stance): string {
  const lead = stance === 'orthodox' ? 'left' : 'right';
  return words.replace(/\b(left|right)\b/g, (side) => (side === lead ? 'lead' : 'rear'));
}

/** Names like the one that was not known: those that have it in them, then those that are spelt most like it. */
export function nearestNames(vocabulary: ReadonlyMap<string, TechniqueId>, words: string): string[] {
  // What is left and what is right depends on who stands there.
  const names = [...vocabulary.keys()].filter((name) => !/\b(left|right)\b/.test(name));
  const having = names.filter((name) => ` ${name} `.includes(` ${words} `)).sort((a, b) => a.length - b.length);
  const alike = names
    .map((name) => ({ name, away: distance(name, words) }))
    .filter(({ name, away }) => away <= Math.max(2, Math.floor(name.length / 3)))
    .sort((a, b) => a.away - b.away)
    .map(({ name }) => name);
  return [...new Set([...having, ...alike])].slice(0, 4);
}
