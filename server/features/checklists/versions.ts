import { catalogueOf, shippedCatalogue, type Catalogue, type ClubEdits } from '@wax-fist/core/technique';
import { eq, inArray, lt, max } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { checklistVersion } from '../../db/schema/index.ts';

/** Checklists that came with an archive of another club have numbers from here on; they are never the newest. */
export const firstBorrowed = 1_000_000;
export const isOwnVersion = lt(checklistVersion.version, firstBorrowed);

/** The number of the newest checklists. */
export async function newestVersion(db: Database): Promise<number> {
  const [row] = await db
    .select({ version: max(checklistVersion.version) })
    .from(checklistVersion)
    .where(isOwnVersion);
  return row?.version ?? 1;
}

export async function editsOf(db: Database, version: number): Promise<ClubEdits | undefined> {
  const [row] = await db
    .select({ edits: checklistVersion.edits })
    .from(checklistVersion)
    .where(eq(checklistVersion.version, version));
  return row?.edits;
}

/** Catalogues of a database by version. A version never changes, so what is known of it stays true. */
const known = new WeakMap<Database, Map<number, Catalogue>>();

/**
 * The catalogues of these versions; one that does not exist is left out. Within a transaction they have to be read `by` that: one
 * that waits for a second connection while it holds its own may wait for ever.
 */
export async function cataloguesAt(
  db: Database,
  versions: readonly number[],
  by: Database = db,
): Promise<ReadonlyMap<number, Catalogue>> {
  const held = known.get(db) ?? new Map<number, Catalogue>();
  known.set(db, held);
  const missing = [...new Set(versions)].filter((version) => !held.has(version));
  if (missing.length > 0) {
    const rows = await by.select().from(checklistVersion).where(inArray(checklistVersion.version, missing));
    for (const { version, edits } of rows) held.set(version, catalogueOf(edits));
  }
  return held;
}

/** The catalogue of a version; undefined when there is no such version. */
export const catalogueAt = async (db: Database, version: number): Promise<Catalogue | undefined> =>
  (await cataloguesAt(db, [version])).get(version);

/** The catalogue as the club has it now. */
export const newestCatalogue = async (db: Database): Promise<Catalogue> =>
  (await catalogueAt(db, await newestVersion(db))) ?? shippedCatalogue;
