import { callEndpoints } from '@wax-fist/contract/calls';
import { bookProblems } from '@wax-fist/core/calls';
import { asc, desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { callBook, callSet, school } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { newestCatalogue } from '../checklists/versions.ts';

export function callRoutes(router: Router, { db }: Services): void {
  serve(router, callEndpoints.listCallBooks, () => db.select().from(callBook).orderBy(desc(callBook.ready), asc(callBook.id)));
  serve(router, callEndpoints.saveCallBook, async ({ params, body }) => {
    sameId(params.bookId, body.id);
    const { id, name, calls } = body;
    const catalogue = await newestCatalogue(db);
    const problems = bookProblems({ name, calls }, (technique) => catalogue.techniques.has(technique));
    if (problems.length > 0)
      throw new Refusal(
        422,
        problems[0]!.says,
        problems.map(({ place, says }) => ({ field: place, message: says })),
      );
    const saved = await db
      .insert(callBook)
      .values({ id, name, calls })
      .onConflictDoUpdate({ target: callBook.id, set: { name, calls }, setWhere: eq(callBook.ready, false) })
      .returning();
    if (saved.length === 0) throw new Refusal(409, 'This book ships with the product. Make a copy of it and change that.');
    return saved[0]!;
  });
  serve(router, callEndpoints.removeCallBook, async ({ params: { bookId } }) => {
    const { ready } = found(await db.select().from(callBook).where(eq(callBook.id, bookId)), 'call book');
    if (ready) throw new Refusal(409, 'This book ships with the product and stays.');
    const users = await db.select({ name: school.name }).from(school).where(eq(school.bookId, bookId));
    if (users.length > 0) throw new Refusal(409, `A school counts by this book: ${users.map(({ name }) => name).join(', ')}.`);
    await db.delete(callBook).where(eq(callBook.id, bookId));
  });

  serve(router, callEndpoints.listCallSets, () => db.select().from(callSet).orderBy(asc(callSet.name), asc(callSet.id)));
  serve(router, callEndpoints.saveCallSet, async ({ params, body }) => {
    sameId(params.setId, body.id);
    const { id, ...set } = body;
    const [saved] = await db.insert(callSet).values(body).onConflictDoUpdate({ target: callSet.id, set }).returning();
    return { ...saved!, id };
  });
  serve(router, callEndpoints.removeCallSet, async ({ params }) => {
    found(await db.delete(callSet).where(eq(callSet.id, params.setId)).returning(), 'set');
  });
}
