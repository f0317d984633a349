import type { KeyAction } from '../../app/keys/use-keys.ts';
import { filmKeys, type FilmKey } from './film-keys.ts';

export type RoundsKey =
  | FilmKey
  | 'round-before'
  | 'round-after'
  | 'round-from'
  | 'round-to'
  | 'round-cut'
  | 'round-add'
  | 'round-remove'
  | 'undo'
  | 'redo'
  | 'keys'
  | 'review';

export const roundsKeys: readonly KeyAction<RoundsKey>[] = [
  ...filmKeys,
  { id: 'round-before', group: 'Rounds', name: 'Round before', keys: ['ArrowUp'] },
  { id: 'round-after', group: 'Rounds', name: 'Next round', keys: ['ArrowDown'] },
  { id: 'round-from', group: 'Rounds', name: 'The round in hand begins here', keys: ['b'] },
  { id: 'round-to', group: 'Rounds', name: 'It ends here', keys: ['e'] },
  { id: 'round-cut', group: 'Rounds', name: 'Cut it in two here', keys: ['x'] },
  { id: 'round-add', group: 'Rounds', name: 'A round where there is none', keys: ['n'] },
  { id: 'round-remove', group: 'Rounds', name: 'Remove the round in hand', keys: ['Delete', 'Backspace'] },
  { id: 'undo', group: 'Desk', name: 'Undo', keys: ['z', 'Ctrl+z'] },
  { id: 'redo', group: 'Desk', name: 'Redo', keys: ['Shift+z', 'Ctrl+Shift+z', 'Ctrl+y'] },
  { id: 'review', group: 'Desk', name: 'To the bench', keys: ['Ctrl+Enter'] },
  { id: 'keys', group: 'Desk', name: 'These keys', keys: ['?'] },
];
