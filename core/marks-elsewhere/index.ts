export * from './said-elsewhere.ts';
export * from './table.ts';
export * from './timed-text.ts';
export * from './annotations.ts';
export * from './as-marks.ts';
export * from './by-itself.ts';
