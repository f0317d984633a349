import { distance } from 'fastest-levenshtein';
import { techniqueName, type Catalogue, type Stance, type TechniqueId } from '../technique/index.ts';
import { toTheBody } from './book.ts';

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

/** Words with the commas that some names have, each after its word. */
export const wordsWithCommas = (text: string): string => text.split(',').map(plainWords).join(', ');

/** A name without the side that it tells. */
const withoutSide = (words: string): string => words.replace(/\b(lead|rear) /, '');

const vocabularies = new WeakMap<Catalogue, ReadonlyMap<string, TechniqueId>>();

/** Every way to name a technique in words, and the technique. Left and right are said as lead and rear. */
export function vocabularyOf(catalogue: Catalogue): ReadonlyMap<string, TechniqueId> {
  const known = vocabularies.get(catalogue) ?? spelled(catalogue);
  vocabularies.set(catalogue, known);
  return known;
}

function spelled(catalogue: Catalogue): ReadonlyMap<string, TechniqueId> {
  const words = new Map<string, TechniqueId>(Object.entries(shouted));
  const names = [...catalogue.techniques.values()];
  // Names before what is also said, so that nobody's other name hides a name.
  for (const { id, alsoSaid } of names) for (const name of alsoSaid) words.set(plainWords(name), id);
  for (const { id, name } of names) words.set(wordsWithCommas(name), id).set(plainWords(name), id).set(plainWords(id), id);
  const unlessSaid = (name: string, id: TechniqueId): void => {
    if (!words.has(name)) words.set(name, id);
  };
  // The side may be told of whatever has one, as in “left jab”; names first, here as well.
  for (const { id, side, name, alsoSaid } of names)
    if (side !== 'both') for (const one of [name, ...alsoSaid]) unlessSaid(`${side} ${withoutSide(plainWords(one))}`, id);
  for (const [name, id] of [...words]) if (toTheBody[id]) unlessSaid(`${name} to the body`, toTheBody[id]);
  return words;
}

/** A technique as it is written: its name in small letters, without signs. */
export const writtenName = (catalogue: Catalogue, technique: TechniqueId): string =>
  plainWords(techniqueName(catalogue, technique));

/** The same with the side that throws it, where that means the same technique; to be said with left or right. */
export function nameWithSide(catalogue: Catalogue, technique: TechniqueId): { side: 'lead' | 'rear' | undefined; name: string } {
  const name = writtenName(catalogue, technique);
  const side = catalogue.techniques.get(technique)?.side;
  if (side !== 'lead' && side !== 'rear') return { side: undefined, name };
  const bare = withoutSide(name);
  return vocabularyOf(catalogue).get(`${side} ${bare}`) === technique ? { side, name: bare } : { side: undefined, name };
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
