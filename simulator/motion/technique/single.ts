import type { Limb } from '../part.ts';
import { defenceModels } from './defence.ts';
import { feintModels } from './feint.ts';
import { footworkModels } from './footwork.ts';
import { handModels, handTechniques, type HandId, type StrikeModel } from './hand.ts';
import { kickModels, kickTechniques, type KickId, type KickModel } from './kick.ts';
import type { MoveModel } from './move.ts';
import { speedBagModels } from './speed-bag.ts';

type MoveId = keyof typeof defenceModels | keyof typeof feintModels | keyof typeof footworkModels;
type BeatId = keyof typeof speedBagModels;
/** What is one movement. */
export type Single = HandId | KickId | MoveId | BeatId;
export type SingleModel = StrikeModel | KickModel | MoveModel;

const moves: Record<MoveId, readonly MoveModel[]> = { ...defenceModels, ...footworkModels, ...feintModels };
const beats: Record<BeatId, readonly StrikeModel[]> = speedBagModels;

export const idsOf = <Id extends string>(table: Record<Id, unknown>): Id[] => Object.keys(table) as Id[];
export const isIn = <Id extends string>(table: Record<Id, unknown>, id: string): id is Id => Object.hasOwn(table, id);

export const everySingle: readonly Single[] = [...handTechniques, ...kickTechniques, ...idsOf(moves), ...idsOf(beats)];
export const isKick = (technique: string): technique is KickId => isIn(kickModels, technique);
export const isMove = (technique: string): technique is MoveId => isIn(moves, technique);
export const isBeat = (technique: string): technique is BeatId => isIn(beats, technique);

/** The ways in which something is thrown, one after the other: a slip goes to this side, then to that. */
export function waysOf(technique: Single): readonly SingleModel[] {
  if (isIn(handModels, technique)) return [handModels[technique]];
  if (isKick(technique)) return [kickModels[technique]];
  return isMove(technique) ? moves[technique] : beats[technique];
}

/** Hand or foot that does it; a move has none. */
export const limbOf = (model: SingleModel): Limb | undefined =>
  model.kind === 'hand' ? model.hand : model.kind === 'kick' ? model.foot : undefined;
/** Whether the rear hand or leg throws it, which hits harder. */
export const fromRear = (model: SingleModel): boolean => limbOf(model) === 'rear';
/** How far it is stepped in for. */
export const advanceFor = (model: SingleModel): number => (model.kind === 'hand' ? model.advance : 0);
