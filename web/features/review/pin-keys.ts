import type { KeyAction } from '../../app/keys/use-keys.ts';

const directions = ['left', 'right', 'up', 'down'] as const;
type Direction = (typeof directions)[number];

export type PinKey =
  | Direction
  | `far-${Direction}`
  | 'frame-back'
  | 'frame-on'
  | 'point-before'
  | 'point-after'
  | 'as-before'
  | 'as-after'
  | 'hide'
  | 'free'
  | 'here'
  | 'let';

const arrowOf = (direction: Direction): string => `Arrow${direction[0]!.toUpperCase()}${direction.slice(1)}`;

/** What keys do as long as a point of the body is in hand. */
export const pinKeys: readonly KeyAction<PinKey>[] = [
  ...directions.map((way) => ({ id: way, group: 'A point in hand', name: `One pixel ${way}`, keys: [arrowOf(way)] })),
  ...directions.map((way) => ({
    id: `far-${way}` as const,
    group: 'A point in hand',
    name: `Eight pixels ${way}`,
    keys: [`Shift+${arrowOf(way)}`],
  })),
  { id: 'here', group: 'A point in hand', name: 'Right so, next frame', keys: ['Enter'] },
  { id: 'frame-back', group: 'A point in hand', name: 'One frame back', keys: ['Ctrl+ArrowLeft'] },
  { id: 'frame-on', group: 'A point in hand', name: 'One frame on', keys: ['Ctrl+ArrowRight'] },
  { id: 'point-before', group: 'A point in hand', name: 'Point before', keys: ['['] },
  { id: 'point-after', group: 'A point in hand', name: 'Next point', keys: [']'] },
  { id: 'as-before', group: 'A point in hand', name: 'As in the frame before', keys: ['b'] },
  { id: 'as-after', group: 'A point in hand', name: 'As in the next frame', keys: ['n'] },
  { id: 'hide', group: 'A point in hand', name: 'Hidden here', keys: ['h'] },
  { id: 'free', group: 'A point in hand', name: 'Take the pin back', keys: ['Delete', 'Backspace'] },
  { id: 'let', group: 'A point in hand', name: 'Let go of the point', keys: ['Escape'] },
];
