import type { SheetStrike } from '@wax-fist/contract/measures';
import { habitsOf, tellsOf, type Habits, type Share, type Tell } from '@wax-fist/core/habits';
import { techniqueIn, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { group, max } from 'd3-array';
import { percent } from '@wax-fist/core/words';

/** Two films of one round from two sides show the same strikes: those of the side on which most are tagged are counted. */
export function strikesOfOneSide(strikes: readonly SheetStrike[]): SheetStrike[][] {
  const views = group(strikes, ({ view }) => view);
  const most = max(views.values(), ({ length }) => length);
  const [view] = [...views.values()].filter(({ length }) => length === most);
  return [...group(view ?? [], ({ filmId }) => filmId).values()].map((film) => film.toSorted((a, b) => a.at - b.at));
}

/** Habits of a session, from what was tagged in its films. */
export function sessionHabits(strikes: readonly SheetStrike[], catalogue: Catalogue): { habits: Habits; tells: Tell[] } {
  const films = strikesOfOneSide(strikes).map((film) =>
    film.map(({ strikeId, technique, at }) => ({ id: strikeId, technique, time: at })),
  );
  const habits = habitsOf(films, (technique) => techniqueIn(catalogue, technique).side);
  return { habits, tells: tellsOf(habits) };
}

/** “44 of 50 (78–94%)” */
export const shareInWords = ({ times, of, low, high }: Share<unknown>): string =>
  `${times} of ${of} (${percent(low)}–${percent(high)})`;

/** What a partner could read, as one sentence without its figures. */
export function tellInWords(tell: Tell, catalogue: Catalogue): string {
  const name = (technique: string): string => techniqueName(catalogue, technique).toLowerCase();
  switch (tell.kind) {
    case 'opening':
      return `A combination begins with ${withArticle(name(tell.share.what))}`;
    case 'exit':
      return `A combination ends with ${withArticle(name(tell.share.what))}`;
    case 'side':
      return `The ${tell.share.what} side strikes`;
    case 'follow':
      return tell.share.what === undefined
        ? `After ${withArticle(name(tell.after))} nothing comes`
        : `After ${withArticle(name(tell.after))} comes ${withArticle(name(tell.share.what))}`;
  }
}

const withArticle = (name: string): string => `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
