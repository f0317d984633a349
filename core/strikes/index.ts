export * from './movement.ts';
export * from './phase.ts';
export * from './strike-moments.ts';
