import type { TechniqueId } from './technique.ts';

/** What one side does and the other does as well. */
const pairs: readonly (readonly [lead: TechniqueId, rear: TechniqueId])[] = [
  ['jab', 'cross'],
  ['lead-hook', 'rear-hook'],
  ['lead-uppercut', 'rear-uppercut'],
  ['lead-overhand', 'overhand'],
  ['lead-body-hook', 'rear-body-hook'],
  ['body-jab', 'body-straight'],
  ['lead-round', 'rear-round'],
];
const others = new Map(pairs.flatMap(([lead, rear]) => [[lead, rear] as const, [rear, lead] as const]));

/** The same thrown with the other hand, or leg; undefined where only one side throws it. */
export const mirroredTechnique = (technique: TechniqueId): TechniqueId | undefined => others.get(technique);
