export * from './verdict.ts';
export * from './tally.ts';
export * from './latest.ts';
export * from './one-view.ts';
export * from './two-coaches.ts';
