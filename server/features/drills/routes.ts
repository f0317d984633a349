import { drillEndpoints, type OwnDrill } from '@wax-fist/contract/drills';
import { drillProblems, shippedDrills } from '@wax-fist/core/drills';
import { asc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { drill } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { newestCatalogue } from '../checklists/versions.ts';

const columns = { id: drill.id, name: drill.name, rung: drill.rung, says: drill.says };
type Row = Pick<OwnDrill, 'id' | 'name' | 'rung'> & { says: Omit<OwnDrill, 'id' | 'name' | 'rung'> };
const asDrill = ({ says, ...row }: Row): OwnDrill => ({ ...row, ...says });

const ownDrills = async (db: Database): Promise<OwnDrill[]> =>
  (await db.select(columns).from(drill).orderBy(asc(drill.name), asc(drill.id))).map(asDrill);

export function drillRoutes(router: Router, { db }: Services): void {
  serve(router, drillEndpoints.listDrills, () => ownDrills(db));

  serve(router, drillEndpoints.saveDrill, async ({ params, body, account }) => {
    sameId(params.drillId, body.id);
    const others = new Set([...shippedDrills, ...(await ownDrills(db))].map(({ id }) => id));
    const [problem, ...more] = drillProblems(body, await newestCatalogue(db), others).map(({ place, says }) => ({
      field: place,
      message: says,
    }));
    if (problem) throw new Refusal(422, problem.message, [problem, ...more]);
    const { id, name, rung, ...says } = body;
    const saved = await db
      .insert(drill)
      .values({ id, name, rung, says, addedBy: account.id })
      .onConflictDoUpdate({ target: drill.id, set: { name, rung, says } })
      .returning(columns);
    return asDrill(found(saved, 'drill'));
  });

  serve(router, drillEndpoints.removeDrill, async ({ params }) => {
    await db.delete(drill).where(eq(drill.id, params.drillId));
  });
}
