import type { Mark, ObservationMark } from '@wax-fist/contract/review';
import type { CheckpointId } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import type { Database } from '../db/connection.ts';
import { tellEffort } from '../features/reviewing/effort.ts';
import { askSecondCoach, secondCoachDone } from '../features/reviewing/second-marking.ts';
import { writeMarks } from '../features/review/write-marks.ts';

interface Said {
  by: string;
  second: string;
  at: Date;
}

/** What a strike cost when the club began with this, and after ten weeks of it. */
const cost = { first: { seconds: 19, presses: 7.5 }, now: { seconds: 9, presses: 4.5 } };
const learning = 70 * 24 * 3_600_000;

/** The work that the marks of a film were: quicker the later. */
export async function workAtBench(db: Database, filmId: string, marks: readonly Mark[], { by, at }: Said): Promise<void> {
  const strikes = marks.filter(({ kind }) => kind === 'strike').length;
  const ago = Math.min(1, (Date.now() - at.getTime()) / learning);
  const between = (what: 'seconds' | 'presses'): number => cost.now[what] + ago * (cost.first[what] - cost.now[what]);
  const stretch = { worked: Math.round(strikes * between('seconds') * 1000), presses: Math.round(strikes * between('presses')) };
  await tellEffort(db, filmId, by, { id: uuid(), at: at.toISOString(), ...stretch });
}

/** A slip now and then; on the row that is read in another way, one strike of three. */
const slips = { usual: 13, otherwise: 3 };
const turned = { clean: 'fault', watch: 'clean', fault: 'clean', 'cant-see': 'clean' } as const;

/** The same film marked by a second coach who does not see what the first one said. */
export async function markAgain(
  db: Database,
  filmId: string,
  marks: readonly Mark[],
  readOtherwise: CheckpointId,
  { by, second, at }: Said,
): Promise<void> {
  await askSecondCoach(db, filmId, second, by);
  const words = marks.filter((mark): mark is ObservationMark => mark.kind === 'observation');
  const again = words.map((word, place): ObservationMark => {
    const every = word.checkpointId === readOtherwise ? slips.otherwise : slips.usual;
    const verdict = word.verdict && place % every === every - 1 ? turned[word.verdict] : word.verdict;
    return { ...word, id: uuid(), verdict, blind: true, saidAt: new Date(at.getTime() + 3_600_000).toISOString() };
  });
  await writeMarks(db, filmId, again, second);
  await secondCoachDone(db, filmId, second);
}
