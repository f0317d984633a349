import type { GradeTest } from '@wax-fist/contract/syllabus';

/** How a test ended, in words. */
export const outcomeNames: Record<GradeTest['outcome'], string> = { open: 'Not ended', passed: 'Passed', 'not-yet': 'Not yet' };
