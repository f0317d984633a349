import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { join } from 'node:path';
import { alone, type Connection } from './connection.ts';
import { addReadyMade } from './ready-made.ts';

/** Brings the database to the newest form, with what ships in it; safe to run again and from several processes. */
export const migrateDatabase = ({ db, pool }: Connection): Promise<void> =>
  alone(pool, async () => {
    await migrate(db, { migrationsFolder: join(import.meta.dirname, 'migrations') });
    await addReadyMade(db);
  });
