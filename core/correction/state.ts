/** What can happen to a correction, as its history tells it. */
export const correctionEventKinds = ['opened', 'cue-given', 're-checked', 'closed', 're-opened'] as const;
export type CorrectionEventKind = (typeof correctionEventKinds)[number];
/** A correction is worked on, or it is not. */
export const correctionStates = ['open', 'closed'] as const;
export type CorrectionState = (typeof correctionStates)[number];

const comesTo: Partial<Record<CorrectionEventKind, CorrectionState>> = { opened: 'open', closed: 'closed', 're-opened': 'open' };

/** What a correction's history comes to. @param kinds oldest first; with none of them it is open, as it begins */
export const correctionState = (kinds: readonly CorrectionEventKind[]): CorrectionState =>
  kinds.map((kind) => comesTo[kind]).findLast((state) => state !== undefined) ?? 'open';

/** Why an event cannot follow on a state, in words; undefined when it can. */
export function eventRefused(state: CorrectionState, kind: CorrectionEventKind): string | undefined {
  if (kind === 're-opened' && state === 'open') return 'This correction is open.';
  if (kind !== 're-opened' && state === 'closed') return 'This correction is closed; open it again first.';
  return undefined;
}
