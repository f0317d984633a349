export * from './measured.ts';
export * from './proposal.ts';
export * from './timing.ts';
