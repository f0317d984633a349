export * from './family.ts';
export * from './view.ts';
export * from './checkpoint.ts';
export * from './technique.ts';
export * from './checklist.ts';
export * from './walk.ts';
export * from './stance.ts';
