import { schoolEndpoints, type SavedSchool } from '@wax-fist/contract/schools';
import { switches } from '@wax-fist/core/technique';
import { asc, desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { callBook, school } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';

export function schoolRoutes(router: Router, { db }: Services): void {
  const one = async (id: string): Promise<SavedSchool> =>
    found(await db.select().from(school).where(eq(school.id, id)), 'school');

  serve(router, schoolEndpoints.listSchools, () => db.select().from(school).orderBy(desc(school.ready), asc(school.id)));
  serve(router, schoolEndpoints.saveSchool, async ({ params, body }) => {
    sameId(params.schoolId, body.id);
    const { id, name, bookId, choices } = body;
    for (const { id: field, name: what, choices: all } of switches) {
      if (all.some((choice) => choice.id === choices[field])) continue;
      const message = `${what}: there is no such choice.`;
      throw new Refusal(422, message, [{ field: `choices.${field}`, message }]);
    }
    found(await db.select({ id: callBook.id }).from(callBook).where(eq(callBook.id, bookId)), 'call book');
    const saved = await db
      .insert(school)
      .values({ id, name, choices, bookId })
      .onConflictDoUpdate({ target: school.id, set: { name, choices, bookId }, setWhere: eq(school.ready, false) })
      .returning();
    if (saved.length === 0) throw new Refusal(409, 'This school ships with the product. Make a copy of it and change that.');
    return saved[0]!;
  });
  serve(router, schoolEndpoints.makeClubDefault, async ({ params: { schoolId } }) => {
    await one(schoolId);
    await db.transaction(async (transaction) => {
      await transaction.update(school).set({ clubDefault: false }).where(eq(school.clubDefault, true));
      await transaction.update(school).set({ clubDefault: true }).where(eq(school.id, schoolId));
    });
    return one(schoolId);
  });
  serve(router, schoolEndpoints.removeSchool, async ({ params: { schoolId } }) => {
    const { ready, clubDefault } = await one(schoolId);
    if (ready) throw new Refusal(409, 'This school ships with the product and stays.');
    if (clubDefault) throw new Refusal(409, 'The club goes by this school. Choose another one for the club first.');
    await db.delete(school).where(eq(school.id, schoolId));
  });
}
