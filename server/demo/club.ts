import type { Role } from '@wax-fist/contract/endpoint';
import type { SessionDraft } from '@wax-fist/contract/sessions';
import type { TraineeDraft } from '@wax-fist/contract/trainees';
import { readySchools, type CheckpointId, type View } from '@wax-fist/core/technique';

/** A film of the demo club, and how far its review has come. */
export interface DemoClip {
  /** Name in the footage folder, without ending. */
  film: string;
  view: View;
  /** Rows judged on every strike; none leaves the strikes tagged only. Undefined leaves the film untouched. */
  rows?: readonly CheckpointId[];
  done: boolean;
}

export interface DemoSession extends Omit<SessionDraft, 'id' | 'traineeId' | 'heldOn' | 'holderId' | 'holderStance'> {
  /** How long before today. */
  daysAgo: number;
  clips: readonly DemoClip[];
  /** Corrections opened from this session; the re-check is due after so many days. */
  corrections: readonly {
    technique: 'jab' | 'cross';
    checkpointId: CheckpointId;
    cue: string;
    target: number;
    recheckAfter: number;
  }[];
}

export interface DemoTrainee extends Omit<TraineeDraft, 'id' | 'schoolId'> {
  /** Where it is not the club’s. */
  schoolId?: string;
  sessions: readonly DemoSession[];
}

/** The coaches of an invented community club in a converted boathouse, ten weeks before an inter-club skills day. */
export const demoCoaches: readonly { name: string; email: string; role: Role }[] = [
  { name: 'Ragna Ostvik', email: 'ragna@boathouse.example', role: 'head-coach' },
  { name: 'Bram Tollund', email: 'bram@boathouse.example', role: 'coach' },
];

/** What the skills day asks to be known by heart. */
export const demoSets: readonly { name: string; recipe: string }[] = [
  { name: 'Skills day, first set', recipe: 'jab, cross, lead hook, cross' },
  { name: 'Skills day, second set', recipe: 'jab, body straight, lead hook, weave, cross, rear round kick' },
];

const place = 'Boathouse, upper floor';
const fromTheSide: readonly CheckpointId[] = [
  'pv.rear-turn',
  'st.lean',
  'sm.telegraph',
  'gd.return-line',
  'gd.other-hand',
  'sm.range',
];
const fromTheFront: readonly CheckpointId[] = ['st.width', 'sm.straight', 'gd.other-hand', 'sm.telegraph'];

export const demoTrainees: readonly DemoTrainee[] = [
  {
    name: 'Maren Lysvik',
    stance: 'orthodox',
    grade: 'improver',
    note: 'Skills day in ten weeks. Sore left wrist last winter: wrapped, no fixed pole.',
    sessions: [
      {
        daysAgo: 10,
        place,
        kit: '14 oz gloves, wraps',
        roundKind: 'heavy bag',
        rung: 3,
        schoolNote: 'Jab returns to the cheek; rear heel turns out.',
        clips: [
          { film: 'maren-first-lead-side', view: 'lead-side', rows: fromTheSide, done: true },
          { film: 'maren-first-front', view: 'front', rows: fromTheFront, done: true },
        ],
        corrections: [{ technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, recheckAfter: 7 }],
      },
      {
        daysAgo: 3,
        place,
        kit: '14 oz gloves, wraps',
        roundKind: 'heavy bag',
        rung: 3,
        schoolNote: 'Same round as last week, same distance of the camera.',
        clips: [
          { film: 'maren-second-lead-side', view: 'lead-side', rows: fromTheSide, done: true },
          { film: 'maren-second-front', view: 'front', rows: [], done: false },
        ],
        corrections: [],
      },
    ],
  },
  {
    name: 'Tove Adair',
    stance: 'southpaw',
    grade: 'beginner',
    note: 'Seven weeks in. Right hand leads.',
    sessions: [
      {
        daysAgo: 5,
        place,
        kit: '12 oz gloves',
        roundKind: 'heavy bag',
        rung: 3,
        schoolNote: '',
        clips: [{ film: 'tove-first-lead-side', view: 'lead-side', done: false }],
        corrections: [],
      },
      {
        daysAgo: 1,
        place,
        kit: '12 oz gloves',
        roundKind: 'heavy bag',
        rung: 4,
        schoolNote: 'Three short rounds by the bell.',
        clips: [{ film: 'tove-rounds-lead-side', view: 'lead-side', done: false }],
        corrections: [],
      },
    ],
  },
  { name: 'Idris Falkeid', stance: 'orthodox', grade: 'beginner', note: 'Joined this month; not filmed yet.', sessions: [] },
  {
    name: 'Juno Perrault',
    stance: 'southpaw',
    grade: 'advanced',
    note: 'Away until the spring term. Learned elsewhere, with a low lead hand.',
    schoolId: readySchools[2].id,
    sessions: [],
  },
];
