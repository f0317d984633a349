export * from './counts.ts';
export * from './days.ts';
export * from './levels.ts';
export * from './manner.ts';
export * from './numbers.ts';
