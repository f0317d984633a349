import { Pool } from 'pg';
import { loadClub } from './demo-club.ts';

/** Loads the demo club for several runs of browser tests, and prints where it is. */
const given = process.env.WAX_DATABASE_URL;
if (!given) throw new Error('WAX_DATABASE_URL is not set; run bin/test e2e.');
const administration = new Pool({ connectionString: given, max: 1 });
const club = await loadClub(given, administration, 'loaded_demo_club');
await administration.end();
process.stdout.write(`${JSON.stringify(club)}\n`);
