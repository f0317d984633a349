import type { KeyAction } from '../../app/keys/use-keys.ts';

export type MomentsKey =
  | 'frame-back' | 'frame-on' | 'ten-back' | 'ten-on' | 'play'
  | 'hit-before' | 'hit-after' | 'hit-here' | 'hit-move' | 'fewer-hits' | 'more-hits'
  | 'round-before' | 'round-after' | 'round-from' | 'round-to' | 'round-cut' | 'round-add' | 'round-remove'
  | 'undo' | 'redo' | 'keys' | 'review'; // prettier-ignore

/** The same keys as at the bench where they do the same. */
export const momentsKeys: readonly KeyAction<MomentsKey>[] = [
  { id: 'frame-back', group: 'Time', name: 'One frame back', keys: ['ArrowLeft'] },
  { id: 'frame-on', group: 'Time', name: 'One frame on', keys: ['ArrowRight'] },
  { id: 'ten-back', group: 'Time', name: 'Ten frames back', keys: ['Shift+ArrowLeft'] },
  { id: 'ten-on', group: 'Time', name: 'Ten frames on', keys: ['Shift+ArrowRight'] },
  { id: 'play', group: 'Time', name: 'Play or stop', keys: [' '] },
  { id: 'hit-before', group: 'Hits', name: 'Hit before', keys: ['j'] },
  { id: 'hit-after', group: 'Hits', name: 'Next hit', keys: ['k'] },
  { id: 'hit-here', group: 'Hits', name: 'A hit here, or none after all', keys: ['h'] },
  { id: 'hit-move', group: 'Hits', name: 'The nearest hit is here', keys: ['Shift+h'] },
  { id: 'fewer-hits', group: 'Hits', name: 'Fewer hits', keys: ['<'] },
  { id: 'more-hits', group: 'Hits', name: 'More hits', keys: ['>'] },
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
