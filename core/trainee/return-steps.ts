import { daysBetween } from '../days.ts';

/** A step of the way back after a blow to the head. */
export interface ReturnStep {
  step: number;
  name: string;
  says: string;
  /** Whether a session may be planned: from here on, and nothing is hit before a doctor has cleared it. */
  trains: boolean;
  /** Whether a doctor has to have cleared it. */
  cleared: boolean;
}

/**
 * The way back as sports federations have it, after the consensus of the Concussion in Sport Group (Patricios and others 2023): each
 * step takes a day at the least, and when something comes back one goes a step down. A federation’s own steps, and a doctor’s word, go
 * before these.
 */
export const returnSteps: readonly ReturnStep[] = [
  { step: 1, name: 'Rest', says: 'Everyday life, as far as it brings nothing back.', trains: false, cleared: false },
  { step: 2, name: 'Light movement', says: 'Walking, an easy bicycle; no training.', trains: false, cleared: false },
  {
    step: 3,
    name: 'In the air, alone',
    says: 'Steps and slow techniques; no head moves fast, nothing is hit.',
    trains: true,
    cleared: false,
  },
  {
    step: 4,
    name: 'Drills without contact',
    says: 'With a partner who touches nobody; still nothing is hit.',
    trains: true,
    cleared: false,
  },
  {
    step: 5,
    name: 'Training as usual',
    says: 'Bag, pads and contact; only when a doctor has cleared it.',
    trains: true,
    cleared: true,
  },
  { step: 6, name: 'Back', says: 'Sparring and competition, as the federation has it.', trains: true, cleared: true },
];

/** A step that somebody has reached, and on which day. */
export interface ReachedStep {
  step: number;
  /** YYYY-MM-DD. */
  on: string;
}

/** A step takes so many days at the least. */
export const daysAStep = 1;

/** What is wrong with steps that were taken; undefined when nothing is. */
export function stepsProblem(steps: readonly ReachedStep[], cleared: boolean): string | undefined {
  for (const [place, { step, on }] of steps.entries()) {
    if (step !== place + 1) return 'One step after another, from the first on.';
    const before = steps[place - 1];
    if (before && daysBetween(before.on, on) < daysAStep) return 'A step takes a day at the least.';
    if (returnSteps[place]?.cleared && !cleared) return 'Before this step a doctor has to clear it: who did?';
  }
  return undefined;
}

/** Whether somebody rests on a day, by the steps that they have reached; nobody does of whom no step is entered. */
export function restsOn(steps: readonly ReachedStep[], day: string): boolean {
  const reached = steps.filter(({ on }) => on <= day).at(-1);
  return reached !== undefined && !returnSteps[reached.step - 1]!.trains;
}
