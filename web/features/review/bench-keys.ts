import type { CallBook } from '@wax-fist/core/calls';
import type { KeyAction } from '../../app/keys/use-keys.ts';
import { filmKeys, type FilmKey } from '../rounds/film-keys.ts';

/** Numbers that one key can call. */
export const tagNumbers = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;
export type TagKey = `tag-${(typeof tagNumbers)[number]}`;

export type BenchKey =
  | FilmKey
  | 'slower'
  | 'faster'
  | 'loop'
  | 'zoom-in'
  | 'zoom-out'
  | 'zoom-whole'
  | 'other-view'
  | 'other-back'
  | 'other-on'
  | 'strike-before'
  | 'strike-after'
  | TagKey
  | 'take-over'
  | 'find'
  | 'to-body'
  | 'remove'
  | 'compare'
  | 'strike-note'
  | 'see-launch'
  | 'see-contact'
  | 'see-home'
  | 'set-launch'
  | 'set-contact'
  | 'set-home'
  | 'clean'
  | 'watch'
  | 'fault'
  | 'cant-see'
  | 'rest-clean'
  | 'take-back'
  | 'note'
  | 'row-up'
  | 'row-down'
  | 'walk-length'
  | 'star'
  | 'reference'
  | 'why'
  | 'see-row'
  | 'pins'
  | 'whose'
  | 'undo'
  | 'redo'
  | 'keys'
  | 'done';

/** Left hand judges, right hand moves in time. Numbers mean what the club’s book says. */
export const benchKeysFor = (
  { name: bookName, calls }: CallBook,
  nameOf: (technique: string) => string,
): readonly KeyAction<BenchKey>[] => [
  { id: 'clean', group: 'Judge', name: 'Clean', keys: ['a'] },
  { id: 'watch', group: 'Judge', name: 'Watch', keys: ['s'] },
  { id: 'fault', group: 'Judge', name: 'Fault', keys: ['d'] },
  { id: 'cant-see', group: 'Judge', name: 'Can’t see', keys: ['f'] },
  { id: 'rest-clean', group: 'Judge', name: 'The rest as proposed or clean, next strike', keys: ['r'] },
  { id: 'row-up', group: 'Judge', name: 'Row above', keys: ['q'] },
  { id: 'row-down', group: 'Judge', name: 'Row below', keys: ['w'] },
  { id: 'take-back', group: 'Judge', name: 'Take the verdict back', keys: ['t'] },
  { id: 'note', group: 'Judge', name: 'Write a note on this row', keys: ['e'] },
  { id: 'star', group: 'Judge', name: 'Row into or out of the short walk', keys: ['c'] },
  { id: 'reference', group: 'Judge', name: 'How it should look, and how not', keys: ['g'] },
  { id: 'why', group: 'Judge', name: 'Why: the body as it was found, over the picture', keys: ['y'] },
  { id: 'see-row', group: 'Judge', name: 'Go to the frame that decides this row', keys: ['Shift+y'] },
  { id: 'pins', group: 'Judge', name: 'Put points of the body right by hand', keys: ['l'] },
  { id: 'whose', group: 'Judge', name: 'Follow someone else in the picture', keys: ['m'] },
  { id: 'walk-length', group: 'Judge', name: 'Short walk or all rows', keys: ['x'] },
  ...filmKeys,
  { id: 'slower', group: 'Time', name: 'Slower', keys: [','] },
  { id: 'faster', group: 'Time', name: 'Faster', keys: ['.'] },
  { id: 'loop', group: 'Time', name: 'This strike round and round', keys: ['p'] },
  { id: 'zoom-in', group: 'Time', name: 'Closer', keys: ['+', '='] },
  { id: 'zoom-out', group: 'Time', name: 'Further off', keys: ['-'] },
  { id: 'zoom-whole', group: 'Time', name: 'Whole picture', keys: ['0'] },
  { id: 'strike-before', group: 'Strike', name: 'Strike before', keys: ['ArrowUp'] },
  { id: 'strike-after', group: 'Strike', name: 'Next strike', keys: ['ArrowDown'] },
  ...tagNumbers
    .filter((number) => calls[number])
    .map((number) => ({
      id: `tag-${number}` as const,
      group: `Calls: ${bookName}`,
      name: `A ${number} (${nameOf(calls[number]!).toLowerCase()}) lands here`,
      keys: [number],
    })),
  { id: 'take-over', group: `Calls: ${bookName}`, name: 'Take over what was found and named', keys: ['n'] },
  { id: 'find', group: `Calls: ${bookName}`, name: 'Name what lands here', keys: ['/'] },
  { id: 'to-body', group: `Calls: ${bookName}`, name: 'It went to the body, or to the head', keys: ['b'] },
  { id: 'see-launch', group: 'Strike', name: 'Go to its launch', keys: ['u'] },
  { id: 'see-contact', group: 'Strike', name: 'Go to its contact', keys: ['i'] },
  { id: 'see-home', group: 'Strike', name: 'Go to its home', keys: ['o'] },
  { id: 'set-launch', group: 'Strike', name: 'It is launched here', keys: ['Shift+u'] },
  { id: 'set-contact', group: 'Strike', name: 'It lands here', keys: ['Shift+i'] },
  { id: 'set-home', group: 'Strike', name: 'It is home here', keys: ['Shift+o'] },
  { id: 'remove', group: 'Strike', name: 'Remove this strike', keys: ['Delete', 'Backspace'] },
  { id: 'strike-note', group: 'Strike', name: 'Note on it, typed or spoken', keys: ['Shift+n'] },
  { id: 'compare', group: 'Strike', name: 'Hold it against another one', keys: ['Shift+c'] },
  { id: 'other-view', group: 'Hits', name: 'Other view beside, instead, away', keys: ['v'] },
  { id: 'other-back', group: 'Hits', name: 'Other view one frame back', keys: ['Alt+ArrowLeft'] },
  { id: 'other-on', group: 'Hits', name: 'Other view one frame on', keys: ['Alt+ArrowRight'] },
  { id: 'undo', group: 'Desk', name: 'Undo', keys: ['z', 'Ctrl+z'] },
  { id: 'redo', group: 'Desk', name: 'Redo', keys: ['Shift+z', 'Ctrl+Shift+z', 'Ctrl+y'] },
  { id: 'done', group: 'Desk', name: 'Round done, to the session', keys: ['Ctrl+Enter'] },
  { id: 'keys', group: 'Desk', name: 'These keys', keys: ['?'] },
];
