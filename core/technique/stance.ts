import { techniques, type TechniqueId } from './technique.ts';

/** Orthodox leads with the left, southpaw with the right. */
export const stances = ['orthodox', 'southpaw'] as const;
export type Stance = (typeof stances)[number];

/** The hand a technique is thrown with. */
export const handOf = (technique: TechniqueId, stance: Stance): 'left' | 'right' =>
  (techniques[technique].side === 'lead') === (stance === 'orthodox') ? 'left' : 'right';
