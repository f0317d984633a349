import type { Thing } from '../correction/index.ts';
import { checkpointName, plain, techniqueName, type Catalogue } from '../technique/index.ts';
import type { Drill } from './drill.ts';

/** Everything that is said of a drill, its name first. */
function wordsOf(drill: Drill, catalogue: Catalogue): string[] {
  const rows = drill.trains.flatMap((id) => {
    const row = catalogue.checkpoints.get(id);
    return row ? [row.name, ...row.faults, ...row.cues] : [];
  });
  const thrown = drill.techniques.flatMap((id) => {
    const technique = catalogue.techniques.get(id);
    return technique ? [technique.name, ...technique.alsoSaid] : [];
  });
  return [drill.name, drill.cue, drill.how, drill.caution, ...drill.on, ...drill.needs, drill.company, ...rows, ...thrown].map(
    plain,
  );
}

/** Drills in which every word that was typed is met, those that have it in their name first; all of them when nothing was typed. */
export function findDrills<One extends Drill>(drills: readonly One[], typed: string, catalogue: Catalogue): One[] {
  const asked = plain(typed).split(' ').filter(Boolean);
  const met = (text: string): boolean => asked.every((word) => ` ${text}`.includes(` ${word}`));
  return drills
    .map((drill) => ({ drill, words: wordsOf(drill, catalogue) }))
    .filter(({ words }) => asked.every((word) => words.some((text) => ` ${text}`.includes(` ${word}`))))
    .map(({ drill, words }) => ({ drill, rank: met(words[0]!) ? 0 : words.some(met) ? 1 : 2 }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ drill }) => drill);
}

/** Whether a drill serves a technique: it throws it, or whatever is thrown. */
export const isThrownIn = ({ techniques }: Drill, technique: string): boolean =>
  techniques.length === 0 || techniques.includes(technique);

/** How well a drill suits what somebody works on: whether it throws the very thing, and how far it is from the rung; smaller is nearer. */
const distance = (drill: Drill, { technique }: Thing, rung: number): number => {
  const thrown = drill.techniques.includes(technique) ? 0 : drill.techniques.length === 0 ? 2 : 4;
  const place = drill.trains.length;
  // A drill above the rung asks for what does not hold yet: further than one as much below.
  const away = drill.rung > rung ? 1.5 * (drill.rung - rung) : 0.4 * (rung - drill.rung);
  return thrown + away + place / 100;
};

/** Drills that train what a correction is about, those for its technique and nearest to its rung first. */
export const drillsFor = <One extends Drill>(drills: readonly One[], thing: Thing, rung: number): One[] =>
  drills
    .filter(({ trains }) => trains.includes(thing.checkpointId))
    .map((drill) => ({
      drill,
      // What it names first it is about; the rest it trains besides.
      rank: distance(drill, thing, rung) + drill.trains.indexOf(thing.checkpointId) / 4,
    }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ drill }) => drill);

/** What a drill trains, in words. */
export const trainsInWords = ({ trains }: Drill, catalogue: Catalogue): string[] =>
  trains.map((id) => checkpointName(catalogue, id));

/** What is thrown in it, in words. */
export const throwsInWords = ({ techniques }: Drill, catalogue: Catalogue): string[] =>
  techniques.map((id) => techniqueName(catalogue, id));
