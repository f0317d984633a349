import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { databaseNamed } from '../test/database-named.ts';
import { connect, type Connection } from './connection.ts';
import { migrateDatabase } from './migrate.ts';

/** A database as it was left by an earlier version, with rows of that time. */
describe('a database from before films had one name', function () {
  this.timeout(30_000);
  const name = `old_${uuid().replaceAll('-', '')}`;
  let administration: Pool;
  let connection: Connection;
  const ids = Object.fromEntries(
    ['trainee', 'session', 'film', 'other', 'strike', 'first', 'again', 'closed', 'round'].map((what) => [what, uuid()]),
  ) as Record<string, string>;

  before(async () => {
    const given = process.env.WAX_DATABASE_URL!;
    administration = new Pool({ connectionString: given, max: 1 });
    await administration.query(`create database ${name}`);
    connection = connect(databaseNamed(given, name));
    const { pool } = connection;
    const journal = JSON.parse(await readFile(join(import.meta.dirname, 'migrations/meta/_journal.json'), 'utf8')) as {
      entries: { when: number; tag: string }[];
    };
    await pool.query(
      'create schema drizzle; create table drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint)',
    );
    for (const { tag, when } of journal.entries.slice(0, 2)) {
      await pool.query(await readFile(join(import.meta.dirname, `migrations/${tag}.sql`), 'utf8'));
      await pool.query('insert into drizzle.__drizzle_migrations (hash, created_at) values ($1, $2)', [tag, when]);
    }
    const event = (correction: string, kind: string, at: string): string =>
      `insert into correction_event (id, correction_id, kind, at) values ('${uuid()}', '${correction}', '${kind}', '${at}');`;
    await pool.query(`
      insert into trainee (id, name, stance, grade) values ('${ids.trainee}', 'Somebody', 'southpaw', 'improver');
      insert into training_session (id, trainee_id, held_on, round_kind, rung, checklist_version, judged_by)
        values ('${ids.session}', '${ids.trainee}', '2026-03-01', 'Thai pads', 5, 1, '{"name": "Long lines", "choices": {}, "bookId": "x"}');
      insert into clip (id, session_id, view, file_name, bytes) values
        ('${ids.film}', '${ids.session}', 'front', 'a.mp4', 1), ('${ids.other}', '${ids.session}', 'lead-side', 'b.mp4', 1);
      insert into clip_step (clip_id, step, state) values ('${ids.film}', 'review-copy', 'done');
      insert into clip_moments (clip_id, version) values ('${ids.film}', 4);
      insert into clip_alignment (clip_id, other_id, "offset", drift) values (least('${ids.film}'::uuid, '${ids.other}'), greatest('${ids.film}'::uuid, '${ids.other}'), 700, 0);
      insert into round (id, clip_id, name, starts_at, ends_at, kind, manner, proposed) values ('${ids.round}', '${ids.film}', 'Round 1', 0, 1000, 'Thai pads', 'rung', true);
      insert into strike (id, clip_id, technique, launch_frame, contact_frame, home_frame, removed, said_at, revision_id)
        values ('${ids.strike}', '${ids.film}', 'jab', 1, 2, 3, false, now(), '${uuid()}');
      insert into observation (id, strike_id, checkpoint_id, verdict, view, checklist_version, said_at) values
        ('${uuid()}', '${ids.strike}', 'ph.narrow', 'fault', 'front', 1, now()), ('${uuid()}', '${ids.strike}', 'gd.height', 'cant-see', 'front', 1, now());
      insert into correction (id, trainee_id, checkpoint_id, technique, cue, target, opened_in) values
        ('${ids.first}', '${ids.trainee}', 'gd.height', 'jab', 'Up', 0.1, '${ids.session}'),
        ('${ids.again}', '${ids.trainee}', 'gd.height', 'jab', 'Up', 0.1, '${ids.session}'),
        ('${ids.closed}', '${ids.trainee}', 'gd.height', 'jab', 'Up', 0.1, '${ids.session}');
      ${event(ids.first!, 'opened', '2026-03-01')} ${event(ids.again!, 'opened', '2026-03-02')}
      ${event(ids.closed!, 'opened', '2026-02-01')} ${event(ids.closed!, 'closed', '2026-02-08')} ${event(ids.closed!, 're-checked', '2026-02-09')}`);
    await migrateDatabase(connection);
  });
  after(async () => {
    await connection.close();
    await administration.query(`drop database ${name} with (force)`);
    await administration.end();
  });

  const one = async (text: string): Promise<unknown> => (await connection.pool.query({ text, rowMode: 'array' })).rows;

  it('keeps every film with its steps, hits, rounds and ties', async () => {
    expect(await one('select view from film order by file_name')).to.deep.equal([['front'], ['lead-side']]);
    expect(await one('select step, state from film_step')).to.deep.equal([['review-copy', 'done']]);
    expect(await one('select version from film_hits')).to.deep.equal([[4]]);
    expect(await one('select manner, kind from round')).to.deep.equal([['bell', 'Thai pads']]);
    expect(await one('select "offset" from film_alignment')).to.deep.equal([[700]]);
  });

  it('knows of every observation whom it is about', async () => {
    expect(await one('select checkpoint_id, subject, verdict from observation order by 1')).to.deep.equal([
      ['gd.height', 'trainee', 'cant-see'],
      ['ph.narrow', 'holder', 'fault'],
    ]);
  });

  it('has of each correction what its events come to, and one that was open twice open once, which its history tells', async () => {
    const states = (await one('select id, state from correction')) as [string, string][];
    expect(Object.fromEntries(states)).to.deep.equal({
      [ids.first!]: 'spotted',
      [ids.again!]: 'closed',
      [ids.closed!]: 'closed',
    });
    expect(await one(`select note from correction_event where correction_id = '${ids.again}' and kind = 'closed'`)).to.deep.equal(
      [['It was open twice; the first one goes on.']],
    );
  });

  it('has nothing left that is called as before', async () => {
    expect(
      await one(`select conname from pg_constraint where connamespace = 'public'::regnamespace and conname like '%clip%'
        union select indexname from pg_indexes where schemaname = 'public' and indexname like '%clip%'
        union select column_name from information_schema.columns where table_schema = 'public' and column_name like '%clip%'`),
    ).to.deep.equal([]);
  });
});
