import { answerEndpoints, type LevelAnswer } from '@wax-fist/contract/answers';
import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import type { CallBook } from '@wax-fist/core/calls';
import { padKinds } from '@wax-fist/core/rounds';
import { matchUpOf, type Catalogue, type MatchUp, type Stance } from '@wax-fist/core/technique';
import { request } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';
import { holderPointsOf, playableOf, pointsOf, secondPassOf, type FetchTrack, type FollowingStep } from '../footage/playable.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { reviewWords as words } from './words.ts';

/** Everything the bench works on. */
export interface BenchData {
  film: Film;
  session: SessionDetail;
  playable: PlayableFilm;
  /** Where bodies were comes later than all else; whoever holds is asked for in rounds on pads alone. */
  bodies: Partial<Record<FollowingStep, FetchTrack>>;
  corrections: Correction[];
  /** Levels of what is worked on, at every rung. */
  answers: LevelAnswer[];
  /** The checklists by which this session is judged, however they look now. */
  catalogue: Catalogue;
  /** What the keys with numbers mean. */
  book: CallBook;
  /** Frames a second of the film. */
  frameRate: number;
  /** Which foot leads in this film. */
  stance: Stance;
  /** How trainee and holder stand to each other; undefined without a holder. */
  matchUp: MatchUp | undefined;
}

/** @throws Refused, Unreachable, and Error when the film cannot be reviewed yet */
export async function benchData(filmId: string): Promise<BenchData> {
  const film = await request(footageEndpoints.showFilm, { params: { filmId } });
  if (film.state === 'failed') throw new Error(film.remark ?? words.thisFilmCouldNotBe);
  if (film.state !== 'ready') throw new Error(words.thisFilmIsStillBeing);
  const session = await request(sessionEndpoints.showSession, { params: { sessionId: film.sessionId } });
  const trainee = { params: { traineeId: session.traineeId } };
  const shelf = useCatalogue();
  const [playable, corrections, answers, catalogue] = await Promise.all([
    playableOf(film),
    request(correctionEndpoints.traineeCorrections, { ...trainee, query: { state: 'open' } }),
    request(answerEndpoints.traineeAnswers, trainee),
    shelf.at(session.checklistVersion),
    shelf.ready(),
  ]);
  const stance = film.stance ?? session.trainee.stance;
  const holderStance = session.holderStance ?? session.holder?.stance;
  return {
    film,
    session: session,
    playable,
    bodies: {
      pose: pointsOf,
      'second-pass': secondPassOf,
      ...(padKinds.includes(session.roundKind) && { holder: holderPointsOf }),
    },
    corrections: corrections.rows,
    answers,
    catalogue,
    book: shelf.book(session.judgedBy.bookId),
    frameRate: playable.timeline.length > 1 ? ((playable.timeline.length - 1) * 1000) / playable.timeline.at(-1)! : Infinity,
    stance,
    matchUp: holderStance ? matchUpOf(stance, holderStance) : undefined,
  };
}
