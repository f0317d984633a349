import { importSteps, type ImportStep } from '@wax-fist/contract/footage';
import type { StepWork } from './import-step.ts';
import type { ImportPart } from './queue.ts';
import { filmStripStep } from './steps/film-strip.ts';
import { hitsStep } from './steps/hits.ts';
import { holderStep } from './steps/holder.ts';
import { motionStep } from './steps/motion.ts';
import { poseStep } from './steps/pose.ts';
import { probeStep } from './steps/probe.ts';
import { reviewCopyStep } from './steps/review-copy.ts';
import { secondPassStep } from './steps/second-pass.ts';
import { strikesStep } from './steps/strikes.ts';
import { soundStep } from './steps/sound.ts';
import { timelineStep } from './steps/timeline.ts';
import { viewsStep } from './steps/views.ts';

export interface StepRule {
  /** Steps whose results it needs. */
  after: readonly ImportStep[];
  /** Without it there is no review: its failure is the film's. */
  essential: boolean;
  /** A film without sound has nothing to do here. */
  needsSound: boolean;
  /** Where bodies are not followed there is nothing to do either. */
  needsPose?: boolean;
  /** It takes long, and is done when nothing else is to be done in any film. */
  later?: boolean;
  run: (work: StepWork) => Promise<void>;
}

/** When a step is done. */
export function partOf(step: ImportStep): ImportPart {
  const { essential, later } = importRules[step];
  if (essential) return 'review';
  return later ? 'later' : 'rest';
}

/** A step and every one that needs its results, or theirs. */
export function stepsFrom(step: ImportStep): ImportStep[] {
  const needed = new Set<ImportStep>([step]);
  for (const one of importSteps) if (importRules[one].after.some((before) => needed.has(before))) needed.add(one);
  return [...needed];
}

/** What is done with an uploaded original, in the order in which one worker would do it. Each step may be run again from its start. */
export const importRules: Record<ImportStep, StepRule> = {
  probe: { after: [], essential: true, needsSound: false, run: probeStep },
  'review-copy': { after: ['probe'], essential: true, needsSound: false, run: reviewCopyStep },
  timeline: { after: ['review-copy'], essential: true, needsSound: false, run: timelineStep },
  'film-strip': { after: ['timeline'], essential: false, needsSound: false, run: filmStripStep },
  sound: { after: ['timeline'], essential: false, needsSound: true, run: soundStep },
  hits: { after: ['sound'], essential: false, needsSound: true, run: hitsStep },
  views: { after: ['sound'], essential: false, needsSound: true, run: viewsStep },
  motion: { after: ['timeline'], essential: false, needsSound: false, run: motionStep },
  pose: { after: ['timeline'], essential: false, needsSound: false, needsPose: true, run: poseStep },
  strikes: { after: ['hits', 'pose'], essential: false, needsSound: false, run: strikesStep },
  holder: { after: ['pose'], essential: false, needsSound: false, needsPose: true, run: holderStep },
  'second-pass': { after: ['strikes'], essential: false, needsSound: false, needsPose: true, later: true, run: secondPassStep },
};
