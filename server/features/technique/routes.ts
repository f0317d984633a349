import { techniqueEndpoints, type SavedCallBook, type SavedSchool } from '@wax-fist/contract/technique';
import type { ReplyOf } from '@wax-fist/contract/endpoint';
import { bookTroubles } from '@wax-fist/core/calls';
import { editTroubles, shippedCatalogue, switches, type ClubEdits } from '@wax-fist/core/technique';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { account, callBook, callSet, checklistVersion, clip, referenceStill, school } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { measuredReps } from './measured.ts';
import { catalogueAt, newestVersion } from './versions.ts';

const versionColumns = {
  version: checklistVersion.version,
  note: checklistVersion.note,
  by: sql<string>`coalesce(${account.name}, 'the product')`,
  at: checklistVersion.savedAt,
};
const told = <T extends { at: Date }>({ at, ...row }: T) => ({ ...row, at: at.toISOString() });

export function techniqueRoutes(router: Router, surroundings: Surroundings): void {
  checklistRoutes(router, surroundings);
  schoolRoutes(router, surroundings);
  callRoutes(router, surroundings);
  stillRoutes(router, surroundings);
}

function checklistRoutes(router: Router, { db }: Surroundings): void {
  const versions = () =>
    db.select(versionColumns).from(checklistVersion).leftJoin(account, eq(account.id, checklistVersion.savedBy));

  serve(router, techniqueEndpoints.listChecklistVersions, async () =>
    (await versions().orderBy(desc(checklistVersion.version))).map(told),
  );
  serve(router, techniqueEndpoints.showChecklistVersion, async ({ params }) => {
    const version = Number(params.version);
    if (!Number.isInteger(version) || version < 1 || version > 2 ** 31 - 1) throw notFound('version');
    const rows = await db
      .select({ ...versionColumns, edits: checklistVersion.edits })
      .from(checklistVersion)
      .leftJoin(account, eq(account.id, checklistVersion.savedBy))
      .where(eq(checklistVersion.version, version));
    return told(found(rows, 'version')) as unknown as ReplyOf<typeof techniqueEndpoints.showChecklistVersion>;
  });
  serve(router, techniqueEndpoints.saveChecklists, async ({ body, account: { id: savedBy } }) => {
    const edits = body.edits as unknown as ClubEdits;
    const troubles = editTroubles(edits);
    if (troubles.length > 0) {
      throw new Refusal(422, troubles[0]!.says, troubles.map(({ place, says }) => ({ field: `edits.${place}`, message: says }))); // prettier-ignore
    }
    const version = body.basedOn + 1;
    // The number is the key: of two that were made from the same version, the second finds it taken.
    const [saved] = (await newestVersion(db)) === body.basedOn
      ? await db.insert(checklistVersion).values({ version, edits, note: body.note, savedBy }).onConflictDoNothing().returning()
      : []; // prettier-ignore
    if (!saved)
      throw new Refusal(409, 'Somebody else has changed the checklists meanwhile. Look at theirs, then save yours again.');
    return told((await versions().where(eq(checklistVersion.version, version)))[0]!);
  });
  serve(router, techniqueEndpoints.measuredReps, ({ params }) => measuredReps(db, params.technique, params.measure));
}

function schoolRoutes(router: Router, { db }: Surroundings): void {
  const one = async (id: string): Promise<SavedSchool> =>
    found(await db.select().from(school).where(eq(school.id, id)), 'school');

  serve(router, techniqueEndpoints.listSchools, () => db.select().from(school).orderBy(desc(school.ready), asc(school.id)));
  serve(router, techniqueEndpoints.saveSchool, async ({ params, body }) => {
    sameId(params.schoolId, body.id);
    const { id, name, bookId } = body;
    const choices = body.choices as Record<string, string>;
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
  serve(router, techniqueEndpoints.makeClubDefault, async ({ params: { schoolId } }) => {
    await one(schoolId);
    await db.transaction(async (transaction) => {
      await transaction.update(school).set({ clubDefault: false }).where(eq(school.clubDefault, true));
      await transaction.update(school).set({ clubDefault: true }).where(eq(school.id, schoolId));
    });
    return one(schoolId);
  });
  serve(router, techniqueEndpoints.removeSchool, async ({ params: { schoolId } }) => {
    const { ready, clubDefault } = await one(schoolId);
    if (ready) throw new Refusal(409, 'This school ships with the product and stays.');
    if (clubDefault) throw new Refusal(409, 'The club goes by this school. Choose another one for the club first.');
    await db.delete(school).where(eq(school.id, schoolId));
  });
}

function callRoutes(router: Router, { db }: Surroundings): void {
  serve(router, techniqueEndpoints.listCallBooks, () =>
    db.select().from(callBook).orderBy(desc(callBook.ready), asc(callBook.id)),
  );
  serve(router, techniqueEndpoints.saveCallBook, async ({ params, body }): Promise<SavedCallBook> => {
    sameId(params.bookId, body.id);
    const { id, name } = body;
    const calls = body.calls as Record<string, string>;
    const catalogue = (await catalogueAt(db, await newestVersion(db))) ?? shippedCatalogue;
    const troubles = bookTroubles({ name, calls }, (technique) => catalogue.techniques.has(technique));
    if (troubles.length > 0) throw new Refusal(422, troubles[0]!.says, troubles.map(({ place, says }) => ({ field: place, message: says }))); // prettier-ignore
    const saved = await db
      .insert(callBook)
      .values({ id, name, calls })
      .onConflictDoUpdate({ target: callBook.id, set: { name, calls }, setWhere: eq(callBook.ready, false) })
      .returning();
    if (saved.length === 0) throw new Refusal(409, 'This book ships with the product. Make a copy of it and change that.');
    return saved[0]!;
  });
  serve(router, techniqueEndpoints.removeCallBook, async ({ params: { bookId } }) => {
    const { ready } = found(await db.select().from(callBook).where(eq(callBook.id, bookId)), 'call book');
    if (ready) throw new Refusal(409, 'This book ships with the product and stays.');
    const users = await db.select({ name: school.name }).from(school).where(eq(school.bookId, bookId));
    if (users.length > 0) throw new Refusal(409, `A school counts by this book: ${users.map(({ name }) => name).join(', ')}.`);
    await db.delete(callBook).where(eq(callBook.id, bookId));
  });

  serve(router, techniqueEndpoints.listCallSets, () => db.select().from(callSet).orderBy(asc(callSet.name), asc(callSet.id)));
  serve(router, techniqueEndpoints.saveCallSet, async ({ params, body }) => {
    sameId(params.setId, body.id);
    const { id, ...set } = body;
    const [saved] = await db.insert(callSet).values(body).onConflictDoUpdate({ target: callSet.id, set }).returning();
    return { ...saved!, id };
  });
  serve(router, techniqueEndpoints.removeCallSet, async ({ params }) => {
    found(await db.delete(callSet).where(eq(callSet.id, params.setId)).returning(), 'set');
  });
}

function stillRoutes(router: Router, { db }: Surroundings): void {
  serve(router, techniqueEndpoints.listReferenceStills, () => db.select().from(referenceStill));
  serve(router, techniqueEndpoints.saveReferenceStill, async ({ params, body }) => {
    if (params.technique !== body.technique || params.checkpoint !== body.checkpoint || params.kind !== body.kind)
      throw new Refusal(422, 'The address names another still than the content.');
    const catalogue = (await catalogueAt(db, await newestVersion(db))) ?? shippedCatalogue;
    if (!catalogue.techniques.has(body.technique)) throw notFound('technique');
    if (!catalogue.checkpoints.has(body.checkpoint)) throw notFound('checkpoint');
    const { frames } = found(await db.select({ frames: clip.frames }).from(clip).where(eq(clip.id, body.clipId)), 'film');
    if (frames === null || body.frame >= frames) throw new Refusal(422, 'This frame lies outside of the film.');
    const { clipId, frame } = body;
    const [saved] = await db
      .insert(referenceStill)
      .values(body)
      .onConflictDoUpdate({
        target: [referenceStill.technique, referenceStill.checkpoint, referenceStill.kind],
        set: { clipId, frame },
      })
      .returning();
    return saved!;
  });
  serve(router, techniqueEndpoints.removeReferenceStill, async ({ params: { technique, checkpoint, kind } }) => {
    const which = and(
      eq(referenceStill.technique, technique),
      eq(referenceStill.checkpoint, checkpoint),
      eq(referenceStill.kind, kind as 'clean' | 'fault'),
    );
    found(await db.delete(referenceStill).where(which).returning(), 'still');
  });
}
