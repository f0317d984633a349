import type { FirstMoveOfSession } from '@wax-fist/contract/habits';
import type { SessionMeasures, SheetStrike } from '@wax-fist/contract/measures';
import type { Change } from '@wax-fist/core/correction';
import {
  fallHabits,
  filmsOfOneSide,
  habitsOf,
  isReadable,
  tellsOf,
  type Habit,
  type HabitKind,
  type Habits,
  type Share,
} from '@wax-fist/core/habits';
import { techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { percent } from '@wax-fist/core/words';

/** Habits of a session, from what was tagged in its films. */
export function sessionHabits(strikes: readonly SheetStrike[], catalogue: Catalogue): { habits: Habits; tells: Habit[] } {
  const habits = habitsOf(filmsOfOneSide(strikes), (technique) => catalogue.techniques.get(technique));
  return { habits, tells: tellsOf(habits) };
}

/** “44 of 50 (78–94%)” */
export const shareInWords = ({ times, of, low, high }: Pick<Share<unknown>, 'times' | 'of' | 'low' | 'high'>): string =>
  `${times} of ${of} (${percent(low)}–${percent(high)})`;

const withArticle = (name: string): string => `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
const named = (catalogue: Catalogue, technique: string): string => withArticle(techniqueName(catalogue, technique).toLowerCase());

/** What is done again and again, as one sentence without its figures. @param what a technique, a side, a height or a part of the body; none where nothing follows */
export function habitInWords(
  { kind, technique, what }: { kind: HabitKind; technique?: string | null; what?: string | null },
  catalogue: Catalogue,
): string {
  switch (kind) {
    case 'opening':
      return `A combination begins with ${named(catalogue, what!)}`;
    case 'exit':
      return `A combination ends with ${named(catalogue, what!)}`;
    case 'side':
      return `The ${what} side strikes`;
    case 'height':
      return `It goes to the ${what}`;
    case 'follow':
      return `After ${named(catalogue, technique!)} ${what ? `comes ${named(catalogue, what)}` : 'nothing comes'}`;
    case 'move':
      return `Before ${named(catalogue, technique!)} the ${what} moves`;
    case 'fall':
      return `With ${named(catalogue, technique!)} the other hand falls`;
  }
}
export const tellInWords = (tell: Habit, catalogue: Catalogue): string =>
  habitInWords({ kind: tell.kind, technique: 'technique' in tell ? tell.technique : null, what: tell.share.what }, catalogue);

/** Whether it is done more or less often than it was; a habit that goes is no better or worse by itself. */
export const habitChangeNames: Readonly<Record<Change, string>> = {
  better: 'less often',
  worse: 'more often',
  'no-clear-change': 'no clear change',
  'too-few': 'too few to say',
};

/** Nobody sees a hundredth of a second. */
export const leadInWords = ({ lead }: Pick<FirstMoveOfSession, 'lead'>): string => `${Math.round(lead / 10) * 10} ms`;
/** “Before a jab the hand moves, about 160 ms before it sets out” */
export const moveInWords = ({ technique, part: what, lead }: FirstMoveOfSession, catalogue: Catalogue): string =>
  `${habitInWords({ kind: 'move', technique, what }, catalogue)}, about ${leadInWords({ lead })} before it sets out`;

/** Something that gives a strike away, with a strike to look at. */
export interface Telltale {
  told: string;
  figures: string;
  strikeId: string;
}
/** Something that a partner could read, with its first proof. */
export const telltaleOf = (habit: Habit, catalogue: Catalogue): Telltale => ({
  told: tellInWords(habit, catalogue),
  figures: shareInWords(habit.share),
  strikeId: habit.share.proof[0]!,
});

/** Hands that surely fall with a kick or a knee, by measures alone. */
export function fallingHands({ rates, values, strikes }: SessionMeasures, catalogue: Catalogue): Habit[] {
  const techniqueOf = new Map(strikes.map(({ strikeId, technique }) => [strikeId, technique]));
  const measured = values.flatMap((one) => {
    const technique = techniqueOf.get(one.strikeId);
    return technique === undefined ? [] : [{ ...one, technique }];
  });
  return fallHabits(rates, measured, (technique) => catalogue.techniques.get(technique)?.kind).filter(isReadable);
}
