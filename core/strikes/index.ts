export * from './body-motion.ts';
export * from './find-strikes.ts';
export * from './found-strikes.ts';
export * from './movement.ts';
export * from './phase.ts';
export * from './see-strikes.ts';
export * from './strike-moments.ts';
export * from './fresh-and-tired.ts';
