import type { Settles } from '../measure/index.ts';
import { views, type View } from '../technique/index.ts';

/** Something that films are to answer: what is settled of it from each place, and how many frames a second it takes. */
export interface FilmQuestion {
  id: string;
  from: Readonly<Record<View, Settles>>;
  rate: number;
}
/** A place of a camera with what it answers. */
export interface FilmPlace {
  view: View;
  /** Frames a second that are enough for all of its questions; 0 where any are. */
  rate: number;
  answers: { id: string; settles: Settles }[];
}
export interface FilmingPlan {
  places: FilmPlace[];
  /** What no camera settles from anywhere. */
  unanswered: string[];
}

/** How much an answer is worth: a number needs nobody’s eye. */
const worth: Record<Settles, number> = { measure: 2, eye: 1, nothing: 0 };

/**
 * The fewest places of a camera that answer everything that can be answered at all; of as many places those that answer most by
 * measure, then those that take fewer frames. There are five places, so every choice of some is tried, and it is exact however many
 * questions there are: their number times 32.
 */
export function filmingPlan(questions: readonly FilmQuestion[]): FilmingPlan {
  const best = (from: FilmQuestion['from'], chosen: readonly View[]): View | undefined =>
    chosen.reduce<View | undefined>(
      (found, view) => (worth[from[view]] > (found ? worth[from[found]] : 0) ? view : found),
      undefined,
    );
  const asked = questions.filter(({ from }) => best(from, views) !== undefined);
  let found: { places: FilmPlace[]; value: readonly number[] } | undefined;
  for (let some = 0; some < 1 << views.length; some++) {
    const chosen = views.filter((_, place) => some & (1 << place));
    const placed = asked.map((question) => ({ question, view: best(question.from, chosen) }));
    if (placed.some(({ view }) => view === undefined)) continue;
    const places = chosen.flatMap((view): FilmPlace[] => {
      const its = placed.filter((one) => one.view === view).map(({ question }) => question);
      if (its.length === 0) return [];
      return [
        {
          view,
          rate: Math.max(...its.map(({ rate }) => rate)),
          answers: its.map(({ id, from }) => ({ id, settles: from[view] })),
        },
      ];
    });
    if (places.length < chosen.length) continue;
    const measured = placed.filter(({ question, view }) => question.from[view!] === 'measure').length;
    const value = [-places.length, measured, -places.reduce((sum, { rate }) => sum + rate, 0)];
    const better = value.findIndex((one, at) => one !== found?.value[at]);
    if (!found || (better >= 0 && value[better]! > found.value[better]!)) found = { places, value };
  }
  const known = new Set(asked.map(({ id }) => id));
  return { places: found?.places ?? [], unanswered: questions.map(({ id }) => id).filter((id) => !known.has(id)) };
}

/** From where a question is filmed by a plan. */
export const placeOf = ({ places }: FilmingPlan, id: string): FilmPlace | undefined =>
  places.find(({ answers }) => answers.some((one) => one.id === id));
