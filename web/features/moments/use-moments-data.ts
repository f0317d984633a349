import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { reviewEndpoints, type StrikeEntry } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import type { CallBook } from '@wax-fist/core/calls';
import type { Catalogue } from '@wax-fist/core/technique';
import { ask } from '../../app/ask.ts';
import type { Film } from '../../player/frame-source.ts';
import { filmOf } from '../footage/film-of.ts';
import { useCatalogue } from '../technique/catalogue-store.ts';
import { useMoments } from './moments-store.ts';

export interface MomentsData {
  clip: Clip;
  session: SessionDetail;
  film: Film;
  /** What was tagged at the bench. */
  strikes: StrikeEntry[];
  /** The checklists of this session, and what its numbers mean. */
  catalogue: Catalogue;
  book: CallBook;
}

/** Everything the page of hits and rounds works on; takes the clip in hand. @throws Refused, Unreachable, and Error when it cannot be looked at yet */
export async function momentsData(clipId: string): Promise<MomentsData> {
  const params = { params: { clipId } };
  const clip = await ask(footageEndpoints.showClip, params);
  if (clip.state !== 'ready')
    throw new Error(clip.remark ?? 'This film is still being worked in. The session page shows how far it is.');
  const [session, film, review] = await Promise.all([
    ask(sessionEndpoints.showSession, { params: { sessionId: clip.sessionId } }),
    filmOf(clip),
    ask(reviewEndpoints.showReview, params),
    useMoments().open(clip),
  ]);
  const shelf = useCatalogue();
  const [catalogue] = await Promise.all([shelf.at(session.checklistVersion), shelf.ready()]);
  const strikes = review.strikes.filter(({ removed }) => !removed);
  return { clip, session: session as SessionDetail, film, strikes, catalogue, book: shelf.book(session.judgedBy.bookId) };
}
