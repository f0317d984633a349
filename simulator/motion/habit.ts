import type { PoseChange } from '../body/pose.ts';
import { handModels, type StrikeModel } from './technique/hand.ts';
import type { KickModel } from './technique/kick.ts';
import type { SingleModel } from './technique/single.ts';

/** How somebody was taught, where coaches differ: the same technique as another school throws it. */
interface Habit {
  /** How they stand, all the time. */
  stance?: PoseChange;
  hand?: (model: StrikeModel) => StrikeModel;
  kick?: (model: KickModel) => KickModel;
}

const isStraight = ({ elbowAngle }: StrikeModel): boolean => elbowAngle > 150;
const isBodyHook = (model: StrikeModel): boolean => model.contactHeight < 1.3 && model.elbowAngle < 100;
const isJab = (model: StrikeModel): boolean =>
  model.hand === 'lead' && model.contactHeight === handModels.jab.contactHeight && isStraight(model);
const isCross = (model: StrikeModel): boolean =>
  model.hand === 'rear' && model.contactHeight === handModels.cross.contactHeight && isStraight(model);

/** By switch and choice of a school, of which only those are here that can be seen. */
export const habits = {
  'guard-line.cheekbone': { stance: { 'leadHand.y': 0.06, 'rearHand.y': 0.06 } },
  'guard-line.low-lead': {
    stance: { 'leadHand.x': 0.1, 'leadHand.y': -0.44, 'leadHand.z': -0.06, 'leadElbow.out': 0.3, 'rearHand.y': 0.04 },
  },
  'arm.bent': { hand: (model) => (isStraight(model) ? { ...model, elbowAngle: 157 } : model) },
  'intent.drive': { hand: (model) => ({ ...model, dwellTime: model.dwellTime + 0.1, bagPush: model.bagPush * 1.8 }) },
  'stance-width.compact': { stance: { 'leadFoot.x': -0.02, 'rearFoot.x': 0.02 } },
  'stance-width.wide': { stance: { 'leadFoot.x': 0.07, 'rearFoot.x': -0.07, 'pelvis.y': -0.03 } },
  'stance-line.bladed': {
    stance: { 'pelvis.yaw': -16, 'chest.yaw': -18, 'rearFoot.yaw': -14, 'leadFoot.x': -0.02, 'rearFoot.x': 0.02 },
  },
  'stance-line.squarer': {
    stance: { 'pelvis.yaw': 16, 'chest.yaw': 18, 'rearFoot.yaw': 18, 'leadFoot.x': 0.03, 'rearFoot.z': 0.05 },
  },
  'jab-body.small-turn': {
    hand: (model) =>
      isJab(model)
        ? { ...model, feet: { ...model.feet, 'leadFoot.yaw': -18 }, body: { ...model.body, 'pelvis.yaw': -16, 'chest.yaw': -22 } }
        : model,
  },
  'body-hook-fist.thumb-up': {
    hand: (model) =>
      isBodyHook(model) ? { ...model, body: { ...model.body, 'pelvis.y': -0.1, [`${model.hand}Hand.turn`]: 20 } } : model,
  },
  'cross-foot.shift': { hand: (model) => (isCross(model) ? { ...model, feet: { ...model.feet, 'rearFoot.z': 0.34 } } : model) },
  'round-arm.home': {
    kick: (model) =>
      model.way === 'round'
        ? {
            ...model,
            body: { ...model.body, [`${model.foot}Hand.y`]: 0, [`${model.foot}Hand.x`]: 0, [`${model.foot}Hand.z`]: 0 },
          }
        : model,
  },
} as const satisfies Record<string, Habit>;

export type HabitId = keyof typeof habits;
export const habitIds = Object.keys(habits) as HabitId[];
export const isHabit = (id: string): id is HabitId => Object.hasOwn(habits, id);
const habitOf = (id: HabitId): Habit => habits[id];

/** What habits change in how somebody stands. */
export const stancesOf = (ids: readonly HabitId[]): PoseChange[] => ids.flatMap((id) => habitOf(id).stance ?? []);

/** A movement as somebody with these habits throws it. */
export const taught = (model: SingleModel, ids: readonly HabitId[]): SingleModel =>
  ids.reduce<SingleModel>((shape, id) => {
    const habit = habitOf(id);
    if (shape.kind === 'hand') return habit.hand?.(shape) ?? shape;
    return shape.kind === 'kick' ? (habit.kick?.(shape) ?? shape) : shape;
  }, model);
