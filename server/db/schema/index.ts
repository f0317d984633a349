export * from './accounts.ts';
export * from './trainees.ts';
export * from './sessions.ts';
export * from './footage.ts';
export * from './moments.ts';
export * from './review.ts';
export * from './corrections.ts';
