import { catalogueOf, shippedCatalogue, type Catalogue, type ClubEdits } from '@wax-fist/core/technique';
import { eq, max } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { checklistVersion } from '../../db/schema/index.ts';

/** The number of the newest checklists. */
export async function newestVersion(db: Database): Promise<number> {
  const [row] = await db.select({ version: max(checklistVersion.version) }).from(checklistVersion);
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
 * The catalogue of a version; undefined when there is no such version. Within a transaction it has to be read `by` that: one that
 * waits for a second connection while it holds its own may wait for ever.
 */
export async function catalogueAt(db: Database, version: number, by: Database = db): Promise<Catalogue | undefined> {
  const held = known.get(db) ?? new Map<number, Catalogue>();
  known.set(db, held);
  const there = held.get(version);
  if (there) return there;
  const edits = await editsOf(by, version);
  if (!edits) return undefined;
  const catalogue = catalogueOf(edits);
  held.set(version, catalogue);
  return catalogue;
}

/** The catalogue as the club has it now. */
export const newestCatalogue = async (db: Database): Promise<Catalogue> =>
  (await catalogueAt(db, await newestVersion(db))) ?? shippedCatalogue;
