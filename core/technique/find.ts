import type { Catalogue } from './catalogue.ts';
import { wholeChecklist } from './checklist.ts';
import { termOf, usualSchool, type School } from './schools/school.ts';

/** Something in the catalogue that was asked for. */
export interface Found {
  kind: 'technique' | 'checkpoint';
  id: string;
  name: string;
  /** The words that were met, when they are not the name: another name, a fault, a cue. */
  by: string;
  /** Smaller is nearer. */
  rank: number;
}

/** Words that people use for ours: both sides may be typed. */
const synonyms: readonly (readonly string[])[] = [
  ['lead', 'front'],
  ['rear', 'back', 'power'],
  ['round kick', 'roundhouse', 'turning kick'],
  ['weave', 'bob and weave', 'duck'],
  ['pull-back', 'lean back', 'fade'],
  ['step-and-recover', 'slide step', 'push step'],
  ['quarter turn', 'pivot out', 'angle off'],
  ['smothered', 'smother', 'crowding', 'jamming'],
  ['snap', 'pop', 'bounce back'],
  ['push', 'thunk', 'shove'],
  ['drop return', 'lazy hand', 'hand comes back low'],
  ['telegraph', 'twitch', 'wind up', 'cock back', 'draws back'],
  ['open stance', 'mirror'],
  ['closed stance', 'matched'],
  ['orthodox', 'right-handed', 'left lead'],
  ['southpaw', 'left-handed', 'right lead'],
  ['mitts', 'focus mitts', 'pads'],
  ['called', 'structured'],
  ['free', 'unstructured'],
];

/** Words alone: lower case, without accents, everything else a single space. */
export const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^\p{Letter}\p{Number}]+/gu, ' ')
    .trim();

/** What was typed, and the same said in our words. */
function saidAlso(asked: string): string[] {
  const words = plain(asked);
  const others = synonyms.flatMap((group) => {
    const met = group.map(plain).find((one) => ` ${words} `.includes(` ${one} `));
    return met ? group.map((one) => ` ${words} `.replace(` ${met} `, ` ${plain(one)} `).trim()) : [];
  });
  return [...new Set([words, ...others])];
}

/** How near a text is to what was typed: 0 the same, 1 begins so, 2 every word is in it; undefined when it is not met. */
function nearness(text: string, asked: readonly string[]): number | undefined {
  const here = plain(text);
  const each = asked.map((one, place) => {
    const later = place === 0 ? 0 : 0.5;
    if (here === one) return later;
    if (here.startsWith(one)) return 1 + later;
    return one.split(' ').every((word) => ` ${here}`.includes(` ${word}`)) ? 2 + later : undefined;
  });
  return each.filter((rank) => rank !== undefined).sort((a, b) => a - b)[0];
}

/** Techniques, faults and cues by all of their names, nearest first. */
export function findInCatalogue(catalogue: Catalogue, typed: string, school: School = usualSchool): Found[] {
  if (!plain(typed)) return [];
  const asked = saidAlso(typed);
  const found: Found[] = [];
  const look = (thing: Pick<Found, 'kind' | 'id' | 'name'>, texts: readonly [text: string, behind: number][]): void => {
    const best = texts
      .flatMap(([text, behind]) => {
        const near = nearness(text, asked);
        return near === undefined ? [] : [{ text, rank: near + behind }];
      })
      .sort((a, b) => a.rank - b.rank)[0];
    if (best) found.push({ ...thing, by: best.text === thing.name ? '' : best.text, rank: best.rank });
  };
  for (const { id, name, alsoSaid } of catalogue.techniques.values()) {
    const term = termOf(school, id);
    look({ kind: 'technique', id, name: term ?? name }, [
      [name, 0],
      ...(term ? [[term, 0] as [string, number]] : []),
      ...alsoSaid.map((one): [string, number] => [one, 0.2]),
    ]);
  }
  for (const { id, name, faults, cues, question } of catalogue.checkpoints.values()) {
    const texts: [string, number][] = [
      [name, 0.4],
      ...faults.map((one): [string, number] => [one, 0.6]),
      ...cues.map((one): [string, number] => [one, 0.8]),
      [question, 3],
    ];
    look({ kind: 'checkpoint', id, name }, texts);
  }
  return found.sort((a, b) => a.rank - b.rank || (a.name < b.name ? -1 : 1));
}

/** The techniques in whose checklist a checkpoint is. */
export const techniquesWith = (catalogue: Catalogue, checkpoint: string): string[] =>
  [...catalogue.techniques.keys()].filter((id) => wholeChecklist(catalogue, id).some((row) => row.checkpoint.id === checkpoint));
