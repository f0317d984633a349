import { join } from 'node:path';
import type { Settings } from '../settings.ts';

/** The name of a club’s database, and of the account of PostgreSQL that owns it. */
export const databaseOfClub = (id: string): string => `club_${id.replaceAll('-', '')}`;

/** The settings of one club of many: a database, an account there, a data folder and a part of the store of its own. */
export function settingsOfClub(settings: Settings, { id, password }: { id: string; password: string }): Settings {
  const { databaseUrl, home, s3 } = settings;
  const address = new URL(databaseUrl);
  address.username = databaseOfClub(id);
  address.password = encodeURIComponent(password);
  address.pathname = databaseOfClub(id);
  return {
    ...settings,
    databaseUrl: address.href,
    home: join(home, 'clubs', id),
    s3: s3 && { ...s3, prefix: `clubs/${id}/` },
  };
}
