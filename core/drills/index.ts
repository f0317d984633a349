export * from './drill.ts';
export * from './shipped.ts';
export * from './dose.ts';
export * from './fits.ts';
export * from './find-drills.ts';
export * from './drill-problems.ts';
