export * from './course.ts';
export * from './ready-courses.ts';
export * from './coming-days.ts';
export * from './credits.ts';
export * from './earliest-lock.ts';
export * from './readiness.ts';
export * from './set-attempts.ts';
export * from './test-sheet.ts';
