export * from './shared-clock.ts';
export * from './placement.ts';
export * from './striking-path.ts';
export * from './difference.ts';
export * from './drawn-strike.ts';
