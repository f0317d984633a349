import type { KeyAction } from '../../app/keys/use-keys.ts';

/** What a key does while two strikes are held against each other; moving in time is as on the bench. */
export type CompareKey =
  | 'frame-back'
  | 'frame-on'
  | 'play'
  | 'slower'
  | 'faster'
  | 'lock-launch'
  | 'lock-contact'
  | 'lock-home'
  | 'over'
  | 'as-filmed'
  | 'mirror'
  | 'paths'
  | 'swap'
  | 'last-time'
  | 'cleanest'
  | 'other-side'
  | 'somebody-else'
  | 'drawn'
  | 'keys'
  | 'back';

export const compareKeys: readonly KeyAction<CompareKey>[] = [
  { id: 'frame-back', group: 'Time', name: 'One frame back', keys: ['ArrowLeft'] },
  { id: 'frame-on', group: 'Time', name: 'One frame on', keys: ['ArrowRight'] },
  { id: 'play', group: 'Time', name: 'Play round and round, stop', keys: [' '] },
  { id: 'slower', group: 'Time', name: 'Slower', keys: [','] },
  { id: 'faster', group: 'Time', name: 'Faster', keys: ['.'] },
  { id: 'lock-launch', group: 'Locked at', name: 'Launch', keys: ['u'] },
  { id: 'lock-contact', group: 'Locked at', name: 'Contact', keys: ['i'] },
  { id: 'lock-home', group: 'Locked at', name: 'Home', keys: ['o'] },
  { id: 'over', group: 'Picture', name: 'Beside each other, one over the other', keys: ['v'] },
  { id: 'as-filmed', group: 'Picture', name: 'Both in one place, or as they were filmed', keys: ['f'] },
  { id: 'mirror', group: 'Picture', name: 'Mirror the second', keys: ['m'] },
  { id: 'paths', group: 'Picture', name: 'The way of the hand or foot', keys: ['y'] },
  { id: 'swap', group: 'Picture', name: 'Change places', keys: ['x'] },
  { id: 'last-time', group: 'Against', name: 'The same one last time', keys: ['1'] },
  { id: 'cleanest', group: 'Against', name: 'The cleanest', keys: ['2'] },
  { id: 'other-side', group: 'Against', name: 'The other side', keys: ['3'] },
  { id: 'somebody-else', group: 'Against', name: 'Somebody else’s, who may be shown', keys: ['4'] },
  { id: 'drawn', group: 'Against', name: 'How it should be, drawn', keys: ['5'] },
  { id: 'keys', group: 'Desk', name: 'These keys', keys: ['?'] },
  { id: 'back', group: 'Desk', name: 'Back to the bench', keys: ['Escape'] },
];
