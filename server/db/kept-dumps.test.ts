import { expect } from 'chai';
import { createReadStream } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { correctionsOf } from '../features/corrections/queries.ts';
import { filmsOf } from '../features/footage/queries.ts';
import { talliesOfTrainee } from '../features/measures/counted-tallies.ts';
import { reportOfSession } from '../features/reports/gather.ts';
import { reviewOf } from '../features/review/queries.ts';
import { restored } from '../features/backups/postgres.ts';
import { databaseNamed } from '../test/database-named.ts';
import { connect, type Connection } from './connection.ts';
import { countOfMigrations, migrateDatabase } from './migrate.ts';
import { film, trainee, trainingSession } from './schema/index.ts';
import { isNotNull } from 'drizzle-orm';

/** Clubs as earlier versions left them, with all that a coach had said: they were dumped by those versions, not made to look old. */
const folder = join(import.meta.dirname, 'kept');

/** What must not become fewer; films were called something else at first. */
const kept = [
  'trainee',
  'training_session',
  'film',
  'strike',
  'strike_revision',
  'observation',
  'correction',
  'correction_event',
];
const before: Record<string, string> = { film: 'clip' };

describe('a club of an earlier version', function () {
  this.timeout(60_000);

  const countsIn = async ({ pool }: Connection): Promise<Record<string, number>> => {
    const counts: Record<string, number> = {};
    for (const table of kept) {
      const { rows } = await pool.query<{ name: string }>(`select coalesce(to_regclass($1), to_regclass($2))::text as name`, [
        table,
        before[table] ?? table,
      ]);
      const { rows: counted } = await pool.query<{ count: string }>(`select count(*) from ${rows[0]!.name}`);
      counts[table] = Number(counted[0]!.count);
    }
    return counts;
  };

  it('is kept of more than one of them', async () => {
    expect(await readdir(folder)).to.have.length.of.at.least(2);
  });

  for (const [dump, least] of [
    ['0004-moment-origins.dump', { observation: 400, correction: 1 }],
    ['0022-plan-revision.dump', { observation: 200, correction: 1 }],
  ] as const) {
    it(`${dump} is brought to this one, with every word that was said, and every page can read it`, async () => {
      const name = `kept_${uuid().replaceAll('-', '')}`;
      const administration = new Pool({ connectionString: process.env.WAX_DATABASE_URL, max: 1 });
      await administration.query(`create database ${name}`);
      const databaseUrl = databaseNamed(process.env.WAX_DATABASE_URL!, name);
      const connection = connect(databaseUrl);
      try {
        await restored(databaseUrl, createReadStream(join(folder, dump)));
        const counted = await countsIn(connection);
        for (const [table, count] of Object.entries(least)) expect(counted[table], table).to.be.at.least(count);
        await migrateDatabase(connection);
        expect(await countsIn(connection)).to.deep.equal(counted);
        const { rows } = await connection.pool.query('select from drizzle.__drizzle_migrations');
        expect(rows).to.have.length(await countOfMigrations());

        const { db } = connection;
        const sessions = await db.select({ id: trainingSession.id }).from(trainingSession);
        for (const { id } of sessions) expect((await reportOfSession(db, id)).sections.length).to.be.above(1);
        for (const { id } of await filmsOf(db, isNotNull(film.id))) {
          const { strikes, observations } = await reviewOf(db, id);
          for (const one of observations) expect(strikes.some(({ strikeId }) => strikeId === one.strikeId)).to.equal(true);
        }
        expect((await correctionsOf(db)).length).to.equal(counted.correction);
        const tallies = await Promise.all(
          (await db.select({ id: trainee.id }).from(trainee)).map(({ id }) => talliesOfTrainee(db, id)),
        );
        expect(tallies.flat().length).to.be.above(0);
      } finally {
        await connection.close();
        await administration.query(`drop database ${name} with (force)`);
        await administration.end();
      }
    });
  }
});
