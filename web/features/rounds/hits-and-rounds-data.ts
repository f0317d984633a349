import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { reviewEndpoints, type StrikeMark } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import type { CallBook } from '@wax-fist/core/calls';
import type { Catalogue } from '@wax-fist/core/technique';
import { request } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';
import { playableOf } from '../footage/playable.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import { roundsWords as words } from './words.ts';

export interface HitsAndRoundsData {
  film: Film;
  session: SessionDetail;
  playable: PlayableFilm;
  /** What was tagged at the bench. */
  strikes: StrikeMark[];
  /** The checklists of this session, and what its numbers mean. */
  catalogue: Catalogue;
  book: CallBook;
}

/** Everything the page of hits and rounds works on; takes the film in hand. @throws Refused, Unreachable, and Error when it cannot be looked at yet */
export async function hitsAndRoundsData(filmId: string): Promise<HitsAndRoundsData> {
  const params = { params: { filmId } };
  const film = await request(footageEndpoints.showFilm, params);
  if (film.state !== 'ready') throw new Error(film.remark ?? words.thisFilmIsStillBeing);
  const [session, playable, review] = await Promise.all([
    request(sessionEndpoints.showSession, { params: { sessionId: film.sessionId } }),
    playableOf(film),
    request(reviewEndpoints.showReview, params),
    useHitsAndRounds().open(film),
  ]);
  const shelf = useCatalogue();
  const [catalogue] = await Promise.all([shelf.at(session.checklistVersion), shelf.ready()]);
  const strikes = review.strikes.filter(({ removed }) => !removed);
  return { film, session: session, playable, strikes, catalogue, book: shelf.book(session.judgedBy.bookId) };
}
