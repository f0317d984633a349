import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { reviewEndpoints, type SessionTally } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import type { CallBook } from '@wax-fist/core/calls';
import { matchUpOf, type Catalogue, type MatchUp } from '@wax-fist/core/technique';
import { ask } from '../../app/ask.ts';
import type { Film } from '../../player/frame-source.ts';
import { filmOf } from '../footage/film-of.ts';
import { useCatalogue } from '../technique/catalogue-store.ts';

/** Everything the bench works on. */
export interface BenchData {
  clip: Clip;
  session: SessionDetail;
  film: Film;
  corrections: Correction[];
  tallies: SessionTally[];
  /** The checklists by which this session is judged, however they look now. */
  catalogue: Catalogue;
  /** What the keys with numbers mean. */
  book: CallBook;
  /** Frames a second of the film. */
  frameRate: number;
  /** How trainee and holder stand to each other; undefined without a holder. */
  matchUp: MatchUp | undefined;
}

/** @throws Refused, Unreachable, and Error when the film cannot be reviewed yet */
export async function benchData(clipId: string): Promise<BenchData> {
  const clip = await ask(footageEndpoints.showClip, { params: { clipId } });
  if (clip.state === 'failed') throw new Error(clip.remark ?? 'This film could not be imported.');
  if (clip.state !== 'ready') throw new Error('This film is still being worked in. The session page shows how far it is.');
  const session = await ask(sessionEndpoints.showSession, { params: { sessionId: clip.sessionId } });
  const trainee = { params: { traineeId: session.traineeId } };
  const shelf = useCatalogue();
  const [film, corrections, tallies, catalogue] = await Promise.all([
    filmOf(clip),
    ask(correctionEndpoints.traineeCorrections, trainee),
    ask(reviewEndpoints.traineeTallies, trainee),
    shelf.at(session.checklistVersion),
    shelf.ready(),
  ]);
  const holderStance = session.holderStance ?? session.holder?.stance;
  return {
    clip,
    session: session as SessionDetail,
    film,
    corrections: corrections.filter(({ state }) => state === 'open'),
    tallies,
    catalogue,
    book: shelf.book(session.judgedBy.bookId),
    frameRate: film.timeline.length > 1 ? ((film.timeline.length - 1) * 1000) / film.timeline.at(-1)! : Infinity,
    matchUp: holderStance ? matchUpOf(session.trainee.stance, holderStance) : undefined,
  };
}
