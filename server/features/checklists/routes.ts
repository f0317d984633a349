import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { editProblems } from '@wax-fist/core/technique';
import { and, desc, eq, lt, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { account, checklistVersion } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { measuredStrikes } from './measured-strikes.ts';
import { isOwnVersion, newestCatalogue, newestVersion } from './versions.ts';

const versionsOnPage = 50;
const versionColumns = {
  version: checklistVersion.version,
  note: checklistVersion.note,
  by: sql<string>`coalesce(${account.name}, 'the product')`,
  at: checklistVersion.savedAt,
};
const told = <T extends { at: Date }>({ at, ...row }: T) => ({ ...row, at: at.toISOString() });

export function checklistRoutes(router: Router, { db }: Services): void {
  const versions = () =>
    db.select(versionColumns).from(checklistVersion).leftJoin(account, eq(account.id, checklistVersion.savedBy));

  serve(router, checklistEndpoints.listChecklistVersions, async ({ query }) => {
    const keys = keysAfter(query.after, 1);
    const rows = await versions()
      .where(and(isOwnVersion, keys && lt(checklistVersion.version, Number(keys[0]))))
      .orderBy(desc(checklistVersion.version))
      .limit(versionsOnPage + 1);
    return asPage(rows.map(told), versionsOnPage, ({ version }) => [String(version)]);
  });
  serve(router, checklistEndpoints.showChecklistVersion, async ({ params }) => {
    const version = Number(params.version);
    if (!Number.isInteger(version) || version < 1 || version > 2 ** 31 - 1) throw notFound('version');
    const rows = await db
      .select({ ...versionColumns, edits: checklistVersion.edits })
      .from(checklistVersion)
      .leftJoin(account, eq(account.id, checklistVersion.savedBy))
      .where(eq(checklistVersion.version, version));
    return told(found(rows, 'version'));
  });
  serve(router, checklistEndpoints.saveChecklists, async ({ body, account: { id: savedBy } }) => {
    const { edits } = body;
    const problems = editProblems(edits);
    if (problems.length > 0) {
      throw new Refusal(
        422,
        problems[0]!.says,
        problems.map(({ place, says }) => ({ field: `edits.${place}`, message: says })),
      );
    }
    const version = body.basedOn + 1;
    // The number is the key: of two that were made from the same version, the second finds it taken.
    const [saved] =
      (await newestVersion(db)) === body.basedOn
        ? await db.insert(checklistVersion).values({ version, edits, note: body.note, savedBy }).onConflictDoNothing().returning()
        : [];
    if (!saved)
      throw new Refusal(409, 'Somebody else has changed the checklists meanwhile. Look at theirs, then save yours again.');
    return told((await versions().where(eq(checklistVersion.version, version)))[0]!);
  });
  serve(router, checklistEndpoints.measuredStrikes, async ({ params }) =>
    measuredStrikes(db, await newestCatalogue(db), params.technique, params.measure),
  );
}
