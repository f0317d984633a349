import { proposedRounds } from '@wax-fist/core/rounds';
import { noHitEdits } from '@wax-fist/core/sound';
import { believedStrikes, isAnySeen } from '@wax-fist/core/strikes';
import { eq } from 'drizzle-orm';
import { filmPieces } from '../../db/film-pieces.ts';
import { filmHits } from '../../db/schema/index.ts';
import { heavily } from '../heavy.ts';
import type { StepWork } from '../import-step.ts';
import { proposeRoundsAnew } from '../propose-rounds.ts';
import { sessionOfFilm } from './session-of-film.ts';

/** Finds and names the strikes of whoever was followed, by ear and eye, and cuts rounds by them; where nobody was, by ear alone. */
export async function strikesStep({ db, film, signal }: StepWork): Promise<void> {
  const [heard] = await db
    .select({ sound: filmHits.sound, rings: filmHits.rings })
    .from(filmHits)
    .where(eq(filmHits.filmId, film.id));
  const { stance, kind } = await sessionOfFilm({ db, film });
  const pieces = await filmPieces(db, film.id);
  const searched = {
    timeline: film.timeline!,
    frames: film.frames!,
    pieces,
    view: film.view,
    stance,
    heard: heard?.sound ?? [],
  };
  const { both, away } = await heavily('strikesIn', searched, { signal });
  // Whoever was followed works when they strike: another bag, or somebody who only walks about, makes no round.
  const times = believedStrikes(both, noHitEdits).map(({ time }) => time);
  await db.transaction(async (tx) => {
    const found = { both, away };
    await tx
      .insert(filmHits)
      .values({ filmId: film.id, ...found })
      .onConflictDoUpdate({ target: filmHits.filmId, set: found });
    if (isAnySeen(both)) await proposeRoundsAnew(tx, film.id, kind, proposedRounds(times, heard?.rings ?? [], film.duration!));
  });
}
