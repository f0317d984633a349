// A thread begins without what reads TypeScript in the process that started it.
import { register } from 'tsx/esm/api';

register();
export const {
  align,
  clubSpread,
  levelAnswers,
  levelsCompared,
  listen,
  loudness,
  measuredRates,
  measureStrikes,
  motion,
  movesBeforeStrikes,
  readinessOf,
  stillsOfCard,
  strikesIn,
} = await import('./heavy-work.ts');
