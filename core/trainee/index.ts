/** How far somebody has come; what is proposed to them depends on it. */
export const grades = ['beginner', 'improver', 'advanced'] as const;
export type Grade = (typeof grades)[number];

/** How old somebody is, as far as it matters for what is asked of them. */
export const ageGroups = ['child', 'youth', 'adult'] as const;
export type AgeGroup = (typeof ageGroups)[number];

/** Parts of a body that work can load, and that can be hurt. */
export const bodyParts = ['hand', 'wrist', 'elbow', 'shoulder', 'neck', 'back', 'hip', 'knee', 'ankle', 'head'] as const;
export type BodyPart = (typeof bodyParts)[number];

/** In words. */
export const gradeNames: Record<Grade, string> = { beginner: 'Beginner', improver: 'Improver', advanced: 'Advanced' };
export const ageGroupNames: Record<AgeGroup, string> = { child: 'Child', youth: 'Youth', adult: 'Adult' };

/** Whether somebody of a grade has come as far as another. */
export const hasReached = (grade: Grade, asked: Grade): boolean => grades.indexOf(grade) >= grades.indexOf(asked);
export * from './return-steps.ts';
export * from './consent.ts';
