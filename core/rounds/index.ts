export * from './heard-combinations.ts';
export * from './round-clock.ts';
export * from './round-edits.ts';
export * from './round-figures.ts';
export * from './round.ts';
export * from './pauses.ts';
export * from './speed-bag.ts';
export * from './turns.ts';
