import { sessionEndpoints, type Session } from '@wax-fist/contract/sessions';
import { desc, eq, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { clip, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { clipsOf } from '../footage/queries.ts';
import { clubDay } from './club-day.ts';

const sessionColumns = {
  id: trainingSession.id,
  traineeId: trainingSession.traineeId,
  heldOn: trainingSession.heldOn,
  place: trainingSession.place,
  kit: trainingSession.kit,
  roundKind: sql<Session['roundKind']>`${trainingSession.roundKind}`,
  rung: trainingSession.rung,
  schoolNote: trainingSession.schoolNote,
};

export function sessionRoutes(router: Router, { db }: Surroundings): void {
  serve(router, sessionEndpoints.listSessions, ({ params }) =>
    db
      .select({
        ...sessionColumns,
        traineeName: trainee.name,
        clips: sql<number>`(select count(*)::int from ${clip} where ${clip.sessionId} = ${trainingSession.id})`,
        strikes: sql<number>`(select count(*)::int from ${strike} join ${clip} on ${clip.id} = ${strike.clipId}
          where ${clip.sessionId} = ${trainingSession.id} and not ${strike.removed})`,
      })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(trainingSession.traineeId, params.traineeId))
      .orderBy(desc(trainingSession.heldOn), desc(trainingSession.createdAt)),
  );

  serve(router, sessionEndpoints.saveSession, async ({ params, body }) => {
    sameId(params.sessionId, body.id);
    if (body.heldOn > clubDay()) {
      const message = 'This date is still to come. A session is entered on the day or after it.';
      throw new Refusal(422, message, [{ field: 'heldOn', message }]);
    }
    const [person] = await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, body.traineeId));
    if (!person) throw notFound('trainee');
    const { id, traineeId, ...fields } = body;
    const saved = await db
      .insert(trainingSession)
      .values(body)
      .onConflictDoUpdate({ target: trainingSession.id, set: fields, setWhere: eq(trainingSession.traineeId, traineeId) })
      .returning(sessionColumns);
    return found(saved, 'session');
  });

  serve(router, sessionEndpoints.showSession, async ({ params }) => {
    const [rows, clips] = await Promise.all([
      db
        .select({ session: sessionColumns, trainee })
        .from(trainingSession)
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .where(eq(trainingSession.id, params.sessionId)),
      clipsOf(db, eq(clip.sessionId, params.sessionId)),
    ]);
    const { session, trainee: person } = found(rows, 'session');
    return { ...session, trainee: person, clips };
  });
}
