export * from './club-spread.ts';
export { type Look } from './forward.ts';
export * from './level.ts';
