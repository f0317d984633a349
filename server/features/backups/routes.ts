import { backupEndpoints } from '@wax-fist/contract/backups';
import { desc } from 'drizzle-orm';
import type { Router } from 'express';
import { backup } from '../../db/schema/index.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';

const shown = 10;

export function backupRoutes(router: Router, { db }: Services): void {
  serve(router, backupEndpoints.listBackups, async () => {
    const rows = await db.select().from(backup).orderBy(desc(backup.madeAt)).limit(shown);
    return rows.map(({ madeAt, verifiedAt, ...row }) => ({
      ...row,
      madeAt: madeAt.toISOString(),
      verifiedAt: verifiedAt.toISOString(),
    }));
  });
}
