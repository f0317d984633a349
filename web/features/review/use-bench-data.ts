import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { reviewEndpoints, type SessionTally } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { ask } from '../../app/ask.ts';
import type { Film } from '../../player/frame-source.ts';
import { filmOf } from '../footage/film-of.ts';

/** Everything the bench works on. */
export interface BenchData {
  clip: Clip;
  session: SessionDetail;
  film: Film;
  corrections: Correction[];
  tallies: SessionTally[];
}

/** @throws Refused, Unreachable, and Error when the film cannot be reviewed yet */
export async function benchData(clipId: string): Promise<BenchData> {
  const clip = await ask(footageEndpoints.showClip, { params: { clipId } });
  if (clip.state === 'failed') throw new Error(clip.remark ?? 'This film could not be imported.');
  if (clip.state !== 'ready') throw new Error('This film is still being worked in. The session page shows how far it is.');
  const session = await ask(sessionEndpoints.showSession, { params: { sessionId: clip.sessionId } });
  const trainee = { params: { traineeId: session.traineeId } };
  const [film, corrections, tallies] = await Promise.all([
    filmOf(clip),
    ask(correctionEndpoints.traineeCorrections, trainee),
    ask(reviewEndpoints.traineeTallies, trainee),
  ]);
  return { clip, session, film, corrections: corrections.filter(({ state }) => state === 'open'), tallies };
}
