export * from './counts.ts';
export * from './days.ts';
export * from './levels.ts';
