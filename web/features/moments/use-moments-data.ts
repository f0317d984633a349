import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { reviewEndpoints, type StrikeEntry } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { ask } from '../../app/ask.ts';
import type { Film } from '../../player/frame-source.ts';
import { filmOf } from '../footage/film-of.ts';
import { useMoments } from './moments-store.ts';

export interface MomentsData {
  clip: Clip;
  session: SessionDetail;
  film: Film;
  /** What was tagged at the bench. */
  strikes: StrikeEntry[];
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
  return { clip, session, film, strikes: review.strikes.filter(({ removed }) => !removed) };
}
