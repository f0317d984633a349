import type { CheckpointId } from '@wax-fist/core/technique';
import { padFloor, upstairs, type DemoSession, type DemoTrainee, type DemoWord } from '../person.ts';

const rows: readonly CheckpointId[] = ['pv.support-turn', 'kk.upright', 'kk.through', 'kk.return', 'gd.height'];
const standingFoot = { technique: 'rear-round', checkpointId: 'pv.support-turn' } as const;
const film = (place: number) => [{ name: `edda-${place}-lead-side`, view: 'lead-side', rows, done: true }] as const;
const kick = { place: upstairs, kit: 'Shin guards', roundKind: 'long bag', rung: 3 } as const;
const rechecked = (note: string): DemoWord[] => [{ ...standingFoot, kind: 're-checked', note, recheckAfter: 7 }];

const sessions: readonly DemoSession[] = [
  {
    ...kick,
    daysAgo: 32,
    schoolNote: 'Left knee ached after the last hard round.',
    films: film(1),
    corrections: [{ ...standingFoot, cue: 'Heel to the bag first', target: 0.05, recheckAfter: 7 }],
  },
  { ...kick, daysAgo: 24, films: film(2), words: rechecked('Two of nine, at half power. Full power next time.') },
  { ...kick, daysAgo: 15, films: film(3), words: rechecked('One in three, at full power. The knee is quiet.') },
  {
    daysAgo: 3,
    place: padFloor,
    kit: 'Shin guards, 14 oz gloves',
    roundKind: 'Thai pads',
    rung: 5,
    holderStance: 'orthodox',
    schoolNote: 'Ragna held and called.',
    films: film(4),
    words: rechecked('The rear leg turns now. On the switch the other foot stays.'),
    corrections: [
      { technique: 'switch-round', checkpointId: 'pv.support-turn', cue: 'Land with the heel in', target: 0.05, recheckAfter: 7 },
    ],
  },
];

/** A fault that hurts: the standing foot stays, and the knee takes the turn. */
export const edda: DemoTrainee = {
  name: 'Edda Marchetti-Lund',
  stance: 'orthodox',
  grade: 'improver',
  stature: 165,
  reach: null,
  ageGroup: 'adult',
  note: 'Left knee: stop the kicking round when it speaks up.',
  sessions,
};
