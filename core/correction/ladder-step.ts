import { daysBetween } from '../days.ts';
import type { Ratio } from '../units.ts';
import { fewestSeen } from './fewest-seen.ts';
import type { FaultRate } from './rate.ts';
import { isLadderStep, type LadderStep, type Standing, type Step } from './state.ts';

/** A line of a history with the session that it is about and its day; null where it is about none. */
export interface DatedStep extends Step {
  sessionId: string | null;
  heldOn: string | null;
}

/** What a session shows of a correction. */
export interface Shown {
  sessionId: string;
  /** YYYY-MM-DD. */
  heldOn: string;
  rung: number;
  /** Strikes seen in it. */
  seen: number;
  /** Probability that the level is at or below the aim after it. */
  atAim: Ratio;
}

/** A step that the numbers propose. */
export interface ProposedStep {
  kind: LadderStep;
  rung: number;
}

/** How sure one has to be of a level at or below its aim, or above it. */
export const sureOfAim: Ratio = 0.8;
/** Holding has to be seen again so much later before it is locked. */
export const daysToLock = 5;

/**
 * The step on the ladder that a session proposes: relapsed where it was locked and is likely above the aim; holding at a rung that is
 * not locked yet and is likely at or below it; locked when it held there on a day long enough before, and kept when that is as far as
 * it has to hold. Undefined when nothing moves, and when a step was taken after this session or is the coach's word on it.
 */
export function proposedStep(
  standing: Standing,
  history: readonly DatedStep[],
  { sessionId, heldOn, rung, seen, atAim }: Shown,
  topRung: number,
): ProposedStep | undefined {
  if (standing.state === 'closed' || seen < fewestSeen) return undefined;
  const steps = history.filter(({ kind }) => isLadderStep(kind));
  if (steps.some((step) => step.sessionId === sessionId || (step.heldOn ?? '') > heldOn)) return undefined;
  if (rung <= standing.lockedUpTo) return 1 - atAim >= sureOfAim ? { kind: 'relapsed', rung } : undefined;
  // What is kept has nowhere to climb.
  if (atAim < sureOfAim || standing.state === 'kept') return undefined;
  const sinceRelapse = steps.slice(steps.findLastIndex(({ kind }) => kind === 'relapsed') + 1);
  const held = sinceRelapse.find((step) => step.kind === 'holding' && step.rung === rung && step.heldOn !== null);
  if (!held) return { kind: 'holding', rung };
  if (daysBetween(held.heldOn!, heldOn) < daysToLock) return undefined;
  return { kind: rung >= topRung ? 'kept' : 'locked', rung };
}

/** Days until what is kept is looked at again, and again; after the last it stays at that. */
const keptChecks: readonly number[] = [7, 14, 28, 56];
/** Days until anything else is. */
const usualCheck = 7;

/** In how many days to look again. */
export const daysToRecheck = ({ state, checks }: Standing): number =>
  state === 'kept' ? keptChecks[Math.min(checks, keptChecks.length - 1)]! : usualCheck;

/** A rate whose interval begins here or above is worth a correction. */
const spottedFrom: Ratio = 0.2;
export const isSpotted = ({ enough, low }: FaultRate): boolean => enough && low >= spottedFrom;
