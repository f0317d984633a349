/** Where a correction stands. All but the last are worked on, or looked at again. */
export const correctionStates = ['spotted', 'working', 'holding', 'locked', 'kept', 'relapsed', 'closed'] as const;
export type CorrectionState = (typeof correctionStates)[number];

/** In words. */
export const correctionStateNames: Record<CorrectionState, string> = {
  spotted: 'Spotted',
  working: 'Working',
  holding: 'Holding',
  locked: 'Locked',
  kept: 'Kept',
  relapsed: 'Relapsed',
  closed: 'Closed',
};

/** What can happen to a correction, as its history tells it. */
export const correctionEventKinds = [
  'opened',
  'cue-given',
  'drill-given',
  're-checked',
  'holding',
  'locked',
  'kept',
  'relapsed',
  'rescheduled',
  'closed',
  're-opened',
] as const;
export type CorrectionEventKind = (typeof correctionEventKinds)[number];

/** A step on the ladder: it needs a rung, and numbers or a reason. */
export const ladderSteps = ['holding', 'locked', 'kept', 'relapsed'] as const satisfies readonly CorrectionEventKind[];
export type LadderStep = (typeof ladderSteps)[number];
export const isLadderStep = (kind: CorrectionEventKind): kind is LadderStep => ladderSteps.some((step) => step === kind);

/** One line of a history, as far as it moves the correction. */
export interface Step {
  kind: CorrectionEventKind;
  /** Of the ladder; null where the event is about none. */
  rung: number | null;
}

/** What a history comes to. */
export interface Standing {
  state: CorrectionState;
  /** Where it is worked on or held; once locked, the rung that it is locked at. */
  rung: number;
  /** The highest rung at which it has been locked and has not relapsed since; none is 0. */
  lockedUpTo: number;
  /** How often it was looked at again since it is kept. */
  checks: number;
}

type Move = (standing: Standing, rung: number) => Standing;
const worked: Move = (standing) => ({ ...standing, state: standing.state === 'spotted' ? 'working' : standing.state });

/** What each event makes of a standing. */
const moves: Record<CorrectionEventKind, Move> = {
  opened: (_, rung) => ({ state: 'spotted', rung, lockedUpTo: 0, checks: 0 }),
  'cue-given': (standing) => (standing.state === 'relapsed' ? { ...standing, state: 'working' } : worked(standing, 0)),
  'drill-given': (standing) => worked(standing, 0),
  're-checked': (standing) => ({ ...standing, checks: standing.checks + (standing.state === 'kept' ? 1 : 0) }),
  holding: (standing, rung) => ({ ...standing, state: 'holding', rung }),
  locked: (standing, rung) => ({ ...standing, state: 'locked', rung, lockedUpTo: Math.max(rung, standing.lockedUpTo) }),
  kept: (standing, rung) => ({ state: 'kept', rung, lockedUpTo: Math.max(rung, standing.lockedUpTo), checks: 0 }),
  // What no longer holds at a rung does not hold at a harder one.
  relapsed: (standing, rung) => ({ state: 'relapsed', rung, lockedUpTo: Math.min(standing.lockedUpTo, rung - 1), checks: 0 }),
  rescheduled: (standing) => standing,
  closed: (standing) => ({ ...standing, state: 'closed' }),
  're-opened': (standing) => ({ ...standing, state: 'working', checks: 0 }),
};

/** Where a correction stands after its history, oldest first. @param opened the rung of the session that it was opened in */
export function standingOf(history: readonly Step[], opened: number): Standing {
  const begun: Standing = { state: 'spotted', rung: opened, lockedUpTo: 0, checks: 0 };
  return history.reduce((standing, { kind, rung }) => moves[kind](standing, rung ?? standing.rung), begun);
}

/** Why an event cannot follow on a state, in words; undefined when it can. */
export function eventRefused(state: CorrectionState, kind: CorrectionEventKind): string | undefined {
  if (kind === 're-opened' && state !== 'closed') return 'This correction is open.';
  if (kind !== 're-opened' && state === 'closed') return 'This correction is closed; open it again first.';
  return undefined;
}
