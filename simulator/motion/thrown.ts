import { kickModels, thrownKicks, type KickId } from './kick.ts';
import { strikeModels, thrownTechniques, type TechniqueId } from './technique.ts';

/** Everything that the simulated trainee throws. */
export const everythingThrown = [...thrownTechniques, ...thrownKicks] as const;
export type Thrown = TechniqueId | KickId;

export const isKick = (technique: Thrown): technique is KickId => technique in kickModels;
/** Whether the rear hand or leg throws it, which hits harder. */
export const fromRear = (technique: Thrown): boolean =>
  isKick(technique) ? kickModels[technique].foot === 'rear' : strikeModels[technique].hand === 'rear';
/** How far it is stepped in for. */
export const advanceFor = (technique: Thrown): number => (isKick(technique) ? 0 : strikeModels[technique].advance);
