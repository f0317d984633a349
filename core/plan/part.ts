import { doseLength } from '../drills/index.ts';
import type { RoundKind } from '../rounds/index.ts';
import type { CheckpointId, TechniqueId, View } from '../technique/index.ts';
import type { Ratio, Seconds } from '../units.ts';

/** What a part of a session is for, in the order in which they are done. */
export const partKinds = ['warm-up', 'low', 'up', 'technique', 'free', 're-check', 'wait', 'cool-down'] as const;
export type PartKind = (typeof partKinds)[number];
/** In words. */
export const partKindNames: Record<PartKind, string> = {
  'warm-up': 'Warm-up',
  low: 'Correction, low',
  up: 'Correction, one rung up',
  technique: 'Technique of the week',
  free: 'Free round',
  're-check': 'Re-check',
  wait: 'Wait',
  'cool-down': 'Cool-down',
};
/** Parts in which something is learnt: not for the last third, when nobody learns. */
export const learning: readonly PartKind[] = ['low', 'up', 'technique'];
/** Parts that are no work of one lead or the other. */
const withoutLead: readonly PartKind[] = ['warm-up', 're-check', 'wait', 'cool-down'];

/** How a round is shared between the usual lead and the other one. */
export const leadShares = ['both alike', 'other more', 'usual only'] as const;
export type LeadShare = (typeof leadShares)[number];
/** What the usual lead gets of a round. */
export const usualLead: Record<LeadShare, Ratio> = { 'both alike': 0.5, 'other more': 0.4, 'usual only': 1 };

/** What is filmed of a part so that it settles a question. */
export interface Shot {
  view: View;
  /** Frames a second that it takes at the least; 0 where any will do. */
  rate: number;
  /** Strikes that have to be seen. */
  strikes: number;
}

/** Rounds of one thing, by the clock. */
export interface PlanPart {
  /** Told apart within a plan. */
  id: string;
  kind: PartKind;
  title: string;
  /** How, or what is looked at. */
  says: string;
  drillId: string | null;
  correctionId: string | null;
  technique: TechniqueId | null;
  checkpointId: CheckpointId | null;
  on: RoundKind;
  rung: number | null;
  /** Whether a body feels it: counts towards the cap. */
  impact: boolean;
  rounds: number;
  work: Seconds;
  rest: Seconds;
  leads: LeadShare;
  /** In the words of the call grammar; null where nothing is called. */
  recipe: string | null;
  cue: string;
  caution: string;
  shot: Shot | null;
}

/** How long a part takes. */
export const partLength = (part: Pick<PlanPart, 'rounds' | 'work' | 'rest'>): Seconds => doseLength(part);

/** How long parts take one after another with the change from one to the next. */
export const partsLength = (parts: readonly PlanPart[], change: Seconds): Seconds =>
  parts.reduce((sum, part) => sum + partLength(part), 0) + Math.max(0, parts.length - 1) * change;

/** When each part begins, from the start. */
export function partStarts(parts: readonly PlanPart[], change: Seconds): Seconds[] {
  let at = 0;
  return parts.map((part) => {
    const begins = at;
    at += partLength(part) + change;
    return begins;
  });
}

/** Whether a part is shared between both leads. */
export const hasLeads = ({ kind }: Pick<PlanPart, 'kind'>): boolean => !withoutLead.includes(kind);

/** Into the round until the lead is changed; null where it is not. */
export const leadChangesAt = (part: Pick<PlanPart, 'kind' | 'work' | 'leads'>): Seconds | null =>
  hasLeads(part) && part.leads !== 'usual only' ? part.work * usualLead[part.leads] : null;

/** How long each lead works in some parts. */
export function workOfLeads(parts: readonly PlanPart[]): { usual: Seconds; other: Seconds } {
  const shared = parts.filter(hasLeads);
  const usual = shared.reduce((sum, { rounds, work, leads }) => sum + rounds * work * usualLead[leads], 0);
  const all = shared.reduce((sum, { rounds, work }) => sum + rounds * work, 0);
  return { usual, other: all - usual };
}

/** Rounds in which something is hit hard. */
export const impactRounds = (parts: readonly PlanPart[]): number =>
  parts.reduce((sum, { impact, rounds }) => sum + (impact ? rounds : 0), 0);
