export * from './align.ts';
export * from './find-hits.ts';
export * from './hit.ts';
export * from './listen.ts';
export * from './loudness.ts';
export * from './ring.ts';
export * from './wave.ts';
