export * from './report.ts';
export * from './rates.ts';
export * from './next.ts';
export * from './session-report.ts';
export * from './block-report.ts';
