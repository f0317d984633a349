export * from './timed-text.ts';
export * from './table.ts';
export * from './calendar.ts';
export * from './annotations.ts';
export * from './archive.ts';
export * from './points.ts';
export * from './c3d.ts';
