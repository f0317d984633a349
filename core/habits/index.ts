export * from './habits.ts';
