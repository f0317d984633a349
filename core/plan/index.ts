export * from './part.ts';
export * from './rules.ts';
export * from './wish.ts';
export { kitAtRung, mostWorkedOn, partOfDrill, type LeftOut } from './candidates.ts';
export { lastThird, makePlan, type MadePlan } from './make-plan.ts';
export * from './plan-problems.ts';
export * from './stretches.ts';
export * from './stations.ts';
export * from './floor-events.ts';
