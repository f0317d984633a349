import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { eq, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Router } from 'express';
import { film, school, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { newestVersion } from '../checklists/versions.ts';
import { followHolders } from '../footage/follow-holders.ts';
import { filmsOf } from '../footage/queries.ts';
import { mayBeShownToClub } from '../consents/queries.ts';
import { standardFor, schoolNow } from './standard.ts';
import { clubDay } from './club-day.ts';
import { sessionColumns, sessionRows } from './queries.ts';

const holder = alias(trainee, 'holder');

export function sessionRoutes(router: Router, services: Services): void {
  const { db } = services;
  serve(router, sessionEndpoints.listSessions, ({ params, query }) => sessionRows(db, params.traineeId, query.after));

  serve(router, sessionEndpoints.saveSession, async ({ params, body }) => {
    sameId(params.sessionId, body.id);
    if (body.heldOn > clubDay()) {
      const message = 'This date is still to come. A session is entered on the day or after it.';
      throw new Refusal(422, message, [{ field: 'heldOn', message }]);
    }
    const [person] = await db.select().from(trainee).where(eq(trainee.id, body.traineeId));
    if (!person) throw notFound('trainee');
    if (body.holderId === body.traineeId) {
      const message = 'Nobody holds pads for themselves.';
      throw new Refusal(422, message, [{ field: 'holderId', message }]);
    }
    if (body.holderId) found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, body.holderId)), 'holder');
    const { id, traineeId, ...fields } = body;
    const standard = await standardFor(db, person.schoolId);
    const saved = await db
      .insert(trainingSession)
      .values({ ...body, ...standard })
      .onConflictDoUpdate({ target: trainingSession.id, set: fields, setWhere: eq(trainingSession.traineeId, traineeId) })
      .returning(sessionColumns);
    const session = found(saved, 'session');
    await followHolders(services, session.id);
    return session;
  });

  serve(router, sessionEndpoints.judgeSessionBy, async ({ params: { sessionId }, body: { schoolId, newest } }) => {
    const judgedBy = await schoolNow(db, eq(school.id, schoolId));
    const changed = { judgedBy, ...(newest && { checklistVersion: await newestVersion(db) }) };
    const saved = await db
      .update(trainingSession)
      .set(changed)
      .where(eq(trainingSession.id, sessionId))
      .returning(sessionColumns);
    return found(saved, 'session');
  });

  serve(router, sessionEndpoints.releaseSession, async ({ params: { sessionId }, body: { to } }) => {
    if (to === 'club') await mayBeShownToClub(db, sessionId);
    // Released again it keeps its day.
    const releasedAt = to === 'coaches' ? null : sql`coalesce(${trainingSession.releasedAt}, now())`;
    const saved = await db
      .update(trainingSession)
      .set({ releasedAt, shownToClub: to === 'club' })
      .where(eq(trainingSession.id, sessionId))
      .returning(sessionColumns);
    return found(saved, 'session');
  });

  serve(router, sessionEndpoints.showSession, async ({ params }) => {
    const [rows, films] = await Promise.all([
      db
        .select({ session: sessionColumns, trainee, holder })
        .from(trainingSession)
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .leftJoin(holder, eq(holder.id, trainingSession.holderId))
        .where(eq(trainingSession.id, params.sessionId)),
      filmsOf(db, eq(film.sessionId, params.sessionId)),
    ]);
    const { session, trainee: person, holder: holding } = found(rows, 'session');
    return { ...session, trainee: person, holder: holding, films };
  });
}
