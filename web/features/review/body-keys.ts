import type { KeyAction } from '../../app/keys/use-keys.ts';

export type BodyKey = 'left' | 'right' | 'up' | 'down' | 'larger' | 'smaller' | 'follow' | 'let';

const group = 'Who is followed';
/** What keys do as long as somebody is pointed out. */
export const bodyKeys: readonly KeyAction<BodyKey>[] = [
  { id: 'left', group, name: 'The square to the left', keys: ['ArrowLeft'] },
  { id: 'right', group, name: 'The square to the right', keys: ['ArrowRight'] },
  { id: 'up', group, name: 'The square up', keys: ['ArrowUp'] },
  { id: 'down', group, name: 'The square down', keys: ['ArrowDown'] },
  { id: 'larger', group, name: 'A larger square', keys: ['+', '='] },
  { id: 'smaller', group, name: 'A smaller square', keys: ['-'] },
  { id: 'follow', group, name: 'Follow whoever is in it', keys: ['Enter'] },
  { id: 'let', group, name: 'Leave it as it is', keys: ['Escape'] },
];
