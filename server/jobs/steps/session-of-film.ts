import { eq } from 'drizzle-orm';
import { trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import type { StepWork } from '../import-step.ts';

/** In what session a film was taken, and which foot leads in it. */
export async function sessionOfFilm({ db, film }: Pick<StepWork, 'db' | 'film'>) {
  const { stance, ...session } = found(
    await db
      .select({
        stance: trainee.stance,
        kind: trainingSession.roundKind,
        checklistVersion: trainingSession.checklistVersion,
      })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(trainingSession.id, film.sessionId)),
    'session',
  );
  return { ...session, stance: film.stance ?? stance };
}
