export * from './rate.ts';
export * from './change.ts';
export * from './ladder.ts';
export * from './state.ts';
export * from './session-answer.ts';
