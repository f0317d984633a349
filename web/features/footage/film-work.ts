import type { Film, FilmStep, ImportStep } from '@wax-fist/contract/footage';
import { footageWords as words } from './words.ts';

export const stepNames: Record<ImportStep, string> = {
  probe: words.lookingIntoTheFile,
  'review-copy': words.makingTheReviewCopy,
  timeline: words.readingTheFrameTimes,
  'film-strip': words.makingTheFilmStrip,
  sound: words.takingTheSoundOut,
  hits: words.listeningForHits,
  views: words.tyingTheViewsTogether,
  motion: words.watchingWhatMoves,
  pose: words.followingTheBody,
  strikes: words.namingTheStrikes,
  holder: words.followingWhoeverHolds,
  'second-pass': words.lookingAtStrikesAgain,
};

const open = ({ state }: FilmStep): boolean => state === 'waiting' || state === 'working';

/** Whether anything is still being done with the film. */
export const inWork = ({ steps }: Film): boolean => steps.some(open);

/** Share of the work on which a film waits before it can be reviewed; the review copy is nearly all of it. */
const weights: Partial<Record<ImportStep, number>> = { probe: 0.03, 'review-copy': 0.92, timeline: 0.05 };

/** Of what only adds to a review: to follow a body takes longer than all the others. */
const weightsAfter: Partial<Record<ImportStep, number>> = { pose: 10, holder: 5 };
/** What takes longest is begun when all else is done, and has a way of its own. */
const later: ImportStep = 'second-pass';
const weightAfter = ({ step }: FilmStep): number => weightsAfter[step] ?? 1;

export interface Work {
  /** What is being done now, or next. */
  step: ImportStep;
  share: number;
  /** Milliseconds, when that can be told. */
  left: number | null;
  reason: string | null;
  begun: boolean;
}

/** What is under way; undefined when all is done. Until the film can be reviewed, the share is of the way to that. */
export function workOf({ steps, state }: Film): Work | undefined {
  const now = steps.find((step) => step.state === 'working') ?? steps.find(open);
  if (!now) return undefined;
  const before = steps.reduce((sum, step) => sum + (weights[step.step] ?? 0) * (step.state === 'done' ? 1 : step.progress), 0);
  const isOfIt = ({ step }: FilmStep): boolean => (now.step === later ? step === later : step !== later && !(step in weights));
  const rest = steps.filter(isOfIt);
  const whole = rest.reduce((sum, step) => sum + weightAfter(step), 0);
  const after = rest.reduce((sum, step) => sum + weightAfter(step) * (open(step) ? step.progress : 1), 0) / whole;
  return {
    step: now.step,
    share: Math.min(1, state === 'ready' ? after : before),
    left: now.left,
    reason: now.reason,
    begun: now.state === 'working',
  };
}

/** Steps that only add to a review and could not be done, with the reason. */
export const lacking = ({ steps, state }: Film): FilmStep[] =>
  state === 'ready' ? steps.filter((step) => step.state === 'failed' || step.state === 'stopped') : [];
