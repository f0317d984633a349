export * from './crop.ts';
export * from './detection.ts';
export * from './landmarks.ts';
export * from './points.ts';
export * from './track.ts';
export * from './body-size.ts';
export * from './reach.ts';
export * from './usual-guard.ts';
