import type { KeyAction } from '../../app/keys/use-keys.ts';

export type FilmKey =
  | 'frame-back'
  | 'frame-on'
  | 'ten-back'
  | 'ten-on'
  | 'play'
  | 'hit-before'
  | 'hit-after'
  | 'hit-here'
  | 'hit-move'
  | 'fewer-hits'
  | 'more-hits';

/** Moving in a film and from hit to hit: the same wherever a film is looked at. */
export const filmKeys: readonly KeyAction<FilmKey>[] = [
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
];
