import { shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { alignmentsOf } from '../features/alignments/queries.ts';
import { measuredStrikes } from '../features/checklists/measured-strikes.ts';
import { correctionPage, evidenceFor } from '../features/corrections/queries.ts';
import { openCorrection } from '../features/corrections/write-corrections.ts';
import { filmsKnownBy, filmsOf } from '../features/footage/queries.ts';
import { measuredRows } from '../features/measures/session-measures.ts';
import { historyOf, reviewOf } from '../features/review/queries.ts';
import { talliesOf } from '../features/review/tallies.ts';
import { writeMarks } from '../features/review/write-marks.ts';
import { hitsAndRoundsOf } from '../features/rounds/queries.ts';
import { sessionRows } from '../features/sessions/queries.ts';
import { filmsToReview } from '../features/today/queries.ts';
import { traineeRows } from '../features/trainees/queries.ts';
import { addSteps } from '../jobs/work-on-film.ts';
import { roundOfMarks } from '../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest } from '../test/server-under-test.ts';
import type { Database } from './connection.ts';
import { migrateDatabase } from './migrate.ts';
import { film, trainingSession } from './schema/index.ts';

describe('database', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let scene: ClubScene;
  let db: Database;
  const correctionId = uuid();
  before(async () => {
    // Nobody else asks this database: the statements of a test are its own.
    server = await startServer({ works: false });
    scene = await addScene(server);
    ({ db } = server.services);
    const marks = roundOfMarks(Array.from({ length: 40 }, (_, place) => (place % 3 ? 'clean' : 'fault')));
    await writeMarks(db, scene.filmId, marks, server.accountId('coach'));
    const { sessionId } = scene;
    await openCorrection(
      db,
      {
        id: correctionId,
        sessionId,
        checkpointId: 'gd.return-line',
        technique: 'jab',
        cue: 'Home',
        target: 0.1,
        topRung: 6,
        recheckOn: null,
      },
      { by: server.accountId('coach') },
    );
    await addSteps(db, scene.filmId);
    await db.execute(years(scene));
    await db.execute(sql`analyze`);
  });
  after(() => server.stop());

  /** A club that has been at it for years: so much of others that reading all of it would be seen in the plan. */
  const years = ({ filmId, sessionId }: ClubScene) => sql`
    do $$ begin
      insert into trainee (id, name, stance, grade) select gen_random_uuid(), 'Other ' || n, 'orthodox', 'improver' from generate_series(1, 400) n;
      insert into training_session (id, trainee_id, held_on, round_kind, rung, checklist_version, judged_by)
        select gen_random_uuid(), t.id, date '2025-01-01' + n, 'heavy bag', 3, checklist_version, judged_by
        from trainee t, generate_series(1, 20) n, training_session s where t.name like 'Other%' and s.id = ${sql.raw(`'${sessionId}'`)};
      insert into film (id, session_id, view, file_name, bytes, sha256, done)
        select gen_random_uuid(), id, 'front', 'other.mp4', 1, md5(id::text), true from training_session where id <> ${sql.raw(`'${sessionId}'`)};
      insert into round (id, film_id, name, starts_at, ends_at, kind, manner, proposed)
        select gen_random_uuid(), id, 'Round 1', 0, 100, 'heavy bag', 'free', true from film where id <> ${sql.raw(`'${filmId}'`)};
      insert into film_alignment (film_id, other_id, "offset", drift) select least(id, ${sql.raw(`'${filmId}'`)}), greatest(id, ${sql.raw(`'${filmId}'`)}), 0, 0
        from (select id from film where id <> ${sql.raw(`'${filmId}'`)} limit 3) other;
      insert into film_alignment (film_id, other_id, "offset", drift) select least(a, b), greatest(a, b), 0, 0
        from (select id a, lead(id) over (order by id) b from film where id <> ${sql.raw(`'${filmId}'`)}) pair where b is not null on conflict do nothing;
      insert into strike (id, film_id, technique, launch_frame, contact_frame, home_frame, removed, said_at, revision_id)
        select gen_random_uuid(), film.id, case when n = 1 and hashtext(film.id::text) % 200 = 0 then 'rear-knee' else 'jab' end, n, n + 1, n + 2, false, now(), gen_random_uuid()
        from film, generate_series(1, 5) n where film.id <> ${sql.raw(`'${filmId}'`)};
      insert into observation (id, strike_id, checkpoint_id, subject, verdict, view, checklist_version, said_at)
        select gen_random_uuid(), id, 'st.chin', 'trainee', 'clean', 'lead-side', 1, now() from strike where film_id <> ${sql.raw(`'${filmId}'`)};
      insert into measured_strike (strike_id, made_of) select id, 'points' from strike where film_id <> ${sql.raw(`'${filmId}'`)};
      insert into strike_measure (strike_id, checkpoint_id, value, doubt, shared) select strike_id, 'st.chin', 1, 1, 0 from measured_strike;
      insert into correction (id, trainee_id, checkpoint_id, technique, cue, target, opened_in, rung, state, recheck_on)
        select gen_random_uuid(), trainee_id, 'st.chin', 'jab', 'Chin', 0.1, id, 3, 'closed', held_on from training_session where held_on < '2025-12-01';
      insert into correction_event (id, correction_id, kind, note) select gen_random_uuid(), id, 'opened', '' from correction where state = 'closed';
    end $$`;
  const someStrike = async (): Promise<string> =>
    (await db.execute<{ id: string }>(sql`select id from strike where film_id = ${scene.filmId} limit 1`)).rows[0]!.id;

  it('is migrated any number of times, also by several at once', async () => {
    await Promise.all([1, 2, 3].map(() => migrateDatabase(server.services)));
  });

  /** The plans of the statements that some work sends. */
  async function plansOf(work: () => Promise<unknown>): Promise<string[]> {
    const { pool } = server.services;
    const sent: { text: string; values: unknown[] }[] = [];
    const query = pool.query.bind(pool) as (...words: unknown[]) => Promise<{ rows: Record<string, string>[] }>;
    pool.query = ((config: { text: string }, values: unknown[], ...rest: unknown[]) => {
      sent.push({ text: config.text, values });
      return query(config, values, ...rest);
    }) as never;
    await work();
    pool.query = query as never;
    const plans = await Promise.all(sent.map(({ text, values }) => query(`explain ${text}`, values)));
    return plans.map(({ rows }) => rows.map((row) => row['QUERY PLAN']).join('\n'));
  }

  const wholeTables =
    /Seq Scan on (strike|strike_revision|observation|film|training_session|correction|correction_event|round)\b/;
  const lists: [what: string, ask: () => Promise<unknown>, index: RegExp][] = [
    ['a film’s review', () => reviewOf(db, scene.filmId), /strike_of_film/],
    [
      'everything said of a strike',
      async () => historyOf(db, await someStrike()),
      /observation_of_strike|one_observation_counts/,
    ],
    [
      'a trainee’s tallies',
      async () => {
        await talliesOf(db, eq(trainingSession.traineeId, scene.traineeId));
      },
      /training_session_of_trainee[^]*film_(of_session|to_tally)/,
    ],
    ['what was measured in a session', () => measuredRows(db, eq(film.sessionId, scene.sessionId)), /film_of_session/],
    ['trainees', () => traineeRows(db), /trainee_by_name/],
    ['a trainee’s sessions', () => sessionRows(db, scene.traineeId), /training_session_of_trainee/],
    ['the films of a session', () => filmsOf(db, eq(film.sessionId, scene.sessionId)), /film_of_session/],
    ['films to review', () => filmsToReview(db), /film_to_review/],
    ['films with the same bytes', () => filmsKnownBy(db, 'f'.repeat(64)), /film_by_hash/],
    ['open corrections', () => correctionPage(db, { state: 'open' }), /correction_due/],
    ['a trainee’s corrections', () => correctionPage(db, { traineeId: scene.traineeId }), /correction_of_trainee/],
    ['what shows a correction', () => evidenceFor(db, correctionId), /observation_of_strike|one_observation_counts/],
    ['a film’s rounds', () => hitsAndRoundsOf(db, scene.filmId), /round_begins_once|rounds_do_not_overlap/],
    ['ties of a film', () => alignmentsOf(db, scene.filmId), /alignment_of_other/],
    [
      'newest strikes of a technique',
      () => measuredStrikes(db, shippedCatalogue, 'rear-knee', 'snap-ratio'),
      /strike_of_technique/,
    ],
  ];
  for (const [what, ask, index] of lists) {
    it(`finds ${what} by an index, and reads no large table whole`, async () => {
      const plans = await plansOf(ask);
      expect(plans.length, 'round trips').to.be.at.most(3);
      expect(plans.join('\n')).to.match(index).and.not.match(wholeTables);
    });
  }

  it('has an index that begins with it for every foreign key', async () => {
    const { rows } = await db.execute(sql`
      select conrelid::regclass::text || '.' || attname as column from pg_constraint
      join pg_attribute on attrelid = conrelid and attnum = conkey[1]
      where contype = 'f' and connamespace = 'public'::regnamespace
        and not exists (select 1 from pg_index where indrelid = conrelid and indkey[0] = conkey[1])`);
    expect(rows).to.deep.equal([]);
  });

  it('has no enums: lists that grow are text with a check', async () => {
    const { rows } = await db.execute(
      sql`select typname from pg_type where typtype = 'e' and typnamespace = 'public'::regnamespace`,
    );
    expect(rows).to.deep.equal([]);
  });

  const holds: [what: string, statement: () => ReturnType<typeof sql>, constraint: RegExp][] = [
    [
      'a second verdict that counts',
      () => sql`insert into observation (id, strike_id, checkpoint_id, subject, verdict, view, checklist_version, said_at)
      select gen_random_uuid(), strike_id, checkpoint_id, subject, 'clean', view, 1, now() from observation limit 1`,
      /one_observation_counts/,
    ],
    [
      'a strike that lands before it is launched',
      () => sql`update strike set launch_frame = contact_frame + 1`,
      /moments_in_order/,
    ],
    ['a rung beyond the ladder', () => sql`update training_session set rung = 8`, /rung_on_ladder/],
    ['a film that is ready and has no frames', () => sql`update film set timeline = null`, /ready_means_playable/],
    ['progress of more than all', () => sql`update film_step set progress = 1.2`, /progress_is_a_share/],
    ['a strike of no film', () => sql`update strike set film_id = ${uuid()}`, /film/],
    [
      'rounds that overlap',
      () => sql`insert into round (id, film_id, name, starts_at, ends_at, kind, manner, proposed)
      select gen_random_uuid(), ${scene.filmId}::uuid, 'one', n, n + 1500, 'heavy bag', 'bell', false from generate_series(0, 1000, 1000) n`,
      /rounds_do_not_overlap/,
    ],
    [
      'a round that ends before it begins',
      () => sql`insert into round (id, film_id, name, starts_at, ends_at, kind, manner, proposed)
      values (gen_random_uuid(), ${scene.filmId}, 'one', 5, 4, 'heavy bag', 'bell', false)`,
      /round_lasts|range lower bound/,
    ],
    ['a step that nobody works on', () => sql`update film_step set state = 'working', worker = null`, /work_has_a_worker/],
    ['two accounts with one address', () => sql`update account set email = 'same@club.example'`, /email/],
  ];
  for (const [what, statement, constraint] of holds) {
    it(`does not hold ${what}`, async () => {
      const error = await server.services.db.execute(statement()).then(
        () => undefined,
        (reason: unknown) => {
          const { cause, message } = reason as Error & { cause?: { constraint?: string } };
          return cause?.constraint ?? message;
        },
      );
      expect(error).to.match(constraint);
    });
  }
});
