import { feintTechnique, type TechniqueId } from '../technique/index.ts';

/** One strike, defence or move that is called. */
export interface Call {
  kind: 'call';
  technique: TechniqueId;
  feint: boolean;
  /** What goes at the same time, such as a step. */
  together: readonly TechniqueId[];
}
/** A beat without a strike. */
export interface Pause {
  kind: 'pause';
}
/** Items said once and done several times. */
export interface Repeat {
  kind: 'repeat';
  times: number;
  items: readonly CombinationItem[];
}
/** One thing of a combination. */
export type CombinationItem = Call | Pause | Repeat;
/** What is called, in its order. */
export type Combination = readonly CombinationItem[];

/** Every call in its order, repeats written out, pauses left out. */
export const callsOf = (combination: Combination): Call[] =>
  combination.flatMap((item) => {
    if (item.kind === 'pause') return [];
    return item.kind === 'call' ? [item] : Array.from({ length: item.times }, () => callsOf(item.items)).flat();
  });

/** Feints are held against no call: many of them are neither seen nor tagged. */
export const withoutFeints = (thrown: readonly TechniqueId[]): TechniqueId[] => thrown.filter((one) => one !== feintTechnique);

/** What is thrown and should be seen, feints left out. */
export const techniquesOf = (combination: Combination): TechniqueId[] =>
  withoutFeints(callsOf(combination).flatMap(({ technique, feint, together }) => (feint ? [] : [technique, ...together])));
