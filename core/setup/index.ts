export * from './lengths.ts';
export * from './body.ts';
export * from './bags.ts';
export * from './floor-marks.ts';
export * from './camera.ts';
export * from './pad-table.ts';
export * from './round-sums.ts';
export * from './camera-check.ts';
