import type { KeyAction } from '../../app/keys/use-keys.ts';

export type MontageAct = 'before' | 'next' | 'stay';
const group = 'Montage';
export const montageKeys: readonly KeyAction<MontageAct>[] = [
  { id: 'before', group, name: 'The strike before', keys: ['ArrowLeft'] },
  { id: 'next', group, name: 'The next strike', keys: ['ArrowRight'] },
  { id: 'stay', group, name: 'Stay at this one, or go on', keys: [' '] },
];
