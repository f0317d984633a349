export * from './timeline.ts';
