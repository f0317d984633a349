import type { Plan, PlanLog } from '@wax-fist/contract/plans';
import { planShape } from '@wax-fist/contract/plans';
import { recordOf } from '@wax-fist/contract/shapes';
import { sixCall, type CallBook } from '@wax-fist/core/calls';
import type { DoneWork, FloorClock } from '@wax-fist/core/plan';
import { stances, type Stance } from '@wax-fist/core/technique';
import { array, boolean, number, object, string } from 'yup';
import { remember, remembered } from '../../app/remembered.ts';

/** A session on the floor as this browser keeps it: a page that was loaded again, with or without a server, goes on from here. */
export interface FloorState {
  plan: Plan;
  clock: FloorClock;
  done: DoneWork[];
  /** By which it is called. */
  book: CallBook;
  /** How the trainee stands. */
  stance: Stance;
  /** The day on which it was begun. */
  begunOn: string;
}

const stateShape = object({
  plan: planShape.required(),
  clock: object({ ran: number().min(0).required(), since: number().nullable().defined() }).required(),
  done: array(
    object({
      part: number().required(),
      round: number().required(),
      worked: number().required(),
      whole: boolean().required(),
    }).required(),
  ).required(),
  begunOn: string().required(),
  stance: string().oneOf(stances).optional().default(undefined),
  book: object({ name: string().required(), calls: recordOf(() => string().required()) })
    .optional()
    .default(undefined),
});
/** An older version kept neither call book nor stance. */
type Kept = Omit<FloorState, 'book' | 'stance'> & Partial<Pick<FloorState, 'book' | 'stance'>>;
const isState = (kept: unknown): kept is Kept => stateShape.isValidSync(kept);

const nameOf = (planId: string): string => `wax.floor.${planId}`;
export function keptFloor(planId: string): FloorState | undefined {
  const kept = remembered(nameOf(planId), isState);
  return kept && { ...kept, book: kept.book ?? sixCall, stance: kept.stance ?? 'orthodox' };
}
export const keepFloor = (state: FloorState): void => remember(nameOf(state.plan.id), state);
export const forgetFloor = (planId: string): void => remember(nameOf(planId), undefined);

/** What was done and is not on the server yet. */
export interface WaitingLog {
  planId: string;
  log: PlanLog;
}
const waitingAs = 'wax.floor-logs';
const isWaiting = (kept: unknown): kept is WaitingLog[] =>
  Array.isArray(kept) &&
  kept.every((one: Partial<WaitingLog> | null) => typeof one?.planId === 'string' && Array.isArray(one.log?.done));
export const waitingLogs = (): WaitingLog[] => remembered(waitingAs, isWaiting) ?? [];
export const keepWaitingLogs = (logs: readonly WaitingLog[]): void => remember(waitingAs, logs.length > 0 ? logs : undefined);
