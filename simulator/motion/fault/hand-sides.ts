import type { PoseChange } from '../../body/pose.ts';
import type { Limb } from '../part.ts';
import { handTechniques } from '../technique/hand.ts';
import { everySingle, isBeat, limbOf, type SingleModel } from '../technique/single.ts';

export const straights = ['jab', 'cross'] as const;
export const hooks = ['lead-hook', 'rear-hook'] as const;
export const bodyHooks = ['lead-body-hook', 'rear-body-hook'] as const;
export const uppercuts = ['lead-uppercut', 'rear-uppercut'] as const;
export const lowShots = ['body-jab', 'body-straight', ...bodyHooks, 'rising-body-hook'] as const;
export const offLine = ['overhand', 'lead-overhand', 'body-jab', 'body-straight'] as const;
export const rearTurning = ['rear-hook', 'rear-uppercut', 'overhand', 'body-straight', 'rear-body-hook'] as const;
export const leadTurning = ['lead-hook', 'lead-body-hook', 'lead-overhand'] as const;
export const turning = ['cross', ...hooks, ...uppercuts, 'overhand', 'body-straight', 'elbow', ...bodyHooks] as const;
export const homeOnALine = [...straights, ...hooks, 'body-jab', 'body-straight', 'body-poke'] as const;
export const beats = everySingle.filter(isBeat);
export const wristed = handTechniques.filter((id) => id !== 'body-poke' && id !== 'elbow');

export const limb = (model: SingleModel): Limb => limbOf(model) ?? 'lead';
export const idle = (model: SingleModel): Limb => (limb(model) === 'lead' ? 'rear' : 'lead');
export const inwards = (model: SingleModel): number => (limb(model) === 'lead' ? -1 : 1);
export const scaled = (change: PoseChange, which: RegExp, factor: number): PoseChange =>
  Object.fromEntries(Object.entries(change).map(([channel, value]) => [channel, which.test(channel) ? value * factor : value]));
