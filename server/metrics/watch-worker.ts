import type { ImportStep } from '@wax-fist/contract/footage';
import { Histogram, type Registry } from 'prom-client';

/** How a step of an import ended. */
export type StepEnd = 'done' | 'stopped' | 'failed';

/** Times the steps of imports. @returns what a worker tells it of each step that ended */
export function watchSteps(registry: Registry): (step: ImportStep, end: StepEnd, seconds: number) => void {
  const took = new Histogram({
    name: 'wax_import_step_duration_seconds',
    help: 'How long steps of imports took, by how they ended.',
    labelNames: ['step', 'end'],
    buckets: [0.1, 0.5, 1, 5, 15, 60, 180, 600, 1800],
    registers: [registry],
  });
  return (step, end, seconds) => took.observe({ step, end }, seconds);
}
