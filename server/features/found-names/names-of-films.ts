import { namesSaid, type NamedStrike, type NameSaid } from '@wax-fist/core/strikes';
import { newestCatalogue } from '../checklists/versions.ts';
import { group } from 'd3-array';
import { and, desc, eq, exists, inArray, isNotNull } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, filmHits, strike } from '../../db/schema/index.ts';
import { taggedStrikes } from '../measures/tagged-strikes.ts';

/** So many films tell how well strikes are named here: the newest, since a club changes. */
const mostFilms = 200;

/** What was said of a name, in which film. */
export type NameSaidIn = NameSaid & { filmId: string };
export interface NamesOfFilms {
  films: number;
  said: NameSaidIn[];
  missed: (NamedStrike & { filmId: string })[];
  tagged: number;
}

/** What coaches made of the names that were found in the newest films that have any tags. */
export async function namesOfFilms(db: Database): Promise<NamesOfFilms> {
  const isTagged = exists(
    db
      .select({ id: strike.id })
      .from(strike)
      .where(and(eq(strike.filmId, film.id), eq(strike.removed, false))),
  );
  const films = await db
    .select({ filmId: film.id, both: filmHits.both, edits: filmHits.edits })
    .from(film)
    .innerJoin(filmHits, eq(filmHits.filmId, film.id))
    .where(and(isNotNull(filmHits.both), isTagged))
    .orderBy(desc(film.addedAt), desc(film.id))
    .limit(mostFilms);
  const ids = films.map(({ filmId }) => filmId);
  const [tagged, { techniques }] = await Promise.all([taggedStrikes(db, inArray(film.id, ids)), newestCatalogue(db)]);
  const byFilm = group(tagged, ({ filmId }) => filmId);
  const told: NamesOfFilms = { films: films.length, said: [], missed: [], tagged: tagged.length };
  for (const { filmId, both, edits } of films) {
    const here = byFilm.get(filmId) ?? [];
    // A set that is one tag has a name of its own: what was found inside of it was not named otherwise.
    const isSet = ({ technique }: { technique: string }): boolean => (techniques.get(technique)?.parts.length ?? 0) > 0;
    const sets = here.filter(isSet);
    const single = here.filter((one) => !isSet(one)).map(({ strikeId: id, technique, at: time }) => ({ id, technique, time }));
    const insideSet = (time: number): boolean => sets.some(({ from, to }) => time >= from && time <= to);
    const found = both!.filter(({ time }) => !insideSet(time));
    const { said, missed } = namesSaid(found, single, edits?.removed ?? []);
    told.said.push(...said.map((one) => ({ ...one, filmId })));
    told.missed.push(...missed.map((one) => ({ ...one, filmId })));
  }
  return told;
}
