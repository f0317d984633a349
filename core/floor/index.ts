export * from './round-clock.ts';
