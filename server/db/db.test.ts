import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { reviewOf, talliesOf } from '../features/review/queries.ts';
import { traineeRows } from '../features/trainees/queries.ts';
import { addSteps } from '../jobs/work-on-film.ts';
import { writeMarks } from '../features/review/write-marks.ts';
import { roundOfMarks } from '../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest } from '../test/server-under-test.ts';
import { migrateDatabase } from './migrate.ts';
import { trainingSession } from './schema/index.ts';

describe('database', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let scene: ClubScene;
  before(async () => {
    server = await startServer();
    scene = await addScene(server);
    const { db } = server.services;
    const entries = roundOfMarks(Array.from({ length: 40 }, (_, place) => (place % 3 ? 'clean' : 'fault')));
    await writeMarks(db, scene.filmId, entries, server.accountId('coach'));
    // A club that has been at it for years: others' rounds, so many that reading all of them would be seen in the plan.
    for (let other = 0; other < 40; other++) await addScene(server);
    await db.execute(sql`insert into strike (id, film_id, technique, launch_frame, contact_frame, home_frame, removed, said_at, revision_id)
      select gen_random_uuid(), film.id, 'jab', n, n + 1, n + 2, false, now(), gen_random_uuid()
      from film, generate_series(1, 500) n where film.id <> ${scene.filmId}`);
    await db.execute(sql`insert into observation (id, strike_id, checkpoint_id, subject, verdict, view, checklist_version, said_at)
      select gen_random_uuid(), id, c, 'trainee', 'clean', 'lead-side', 1, now()
      from strike, unnest(array['st.chin', 'sm.snap', 'gd.height']) c where film_id <> ${scene.filmId}`);
    await addSteps(db, scene.filmId);
    await db.execute(sql`analyze`);
  });
  after(() => server.stop());

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

  it('finds a film’s review by indexes', async () => {
    const { db } = server.services;
    const plans = await plansOf(() => reviewOf(db, scene.filmId));
    expect(plans).to.have.length(2);
    for (const plan of plans)
      expect(plan)
        .to.include('strike_of_film')
        .and.not.match(/Seq Scan on (strike|observation)/);
  });

  it('finds a trainee’s tallies by indexes, in one round trip', async () => {
    const { db } = server.services;
    const plans = await plansOf(() => talliesOf(db, eq(trainingSession.traineeId, scene.traineeId)));
    expect(plans).to.have.length(1);
    expect(plans[0])
      .to.match(/one_observation_counts|observation_of_strike/)
      .and.not.match(/Seq Scan on (strike|observation)/);
  });

  it('lists trainees in one round trip', async () => {
    expect(await plansOf(() => traineeRows(server.services.db))).to.have.length(1);
  });

  const holds: [what: string, statement: () => ReturnType<typeof sql>, constraint: RegExp][] = [
    ['a second verdict that counts', () => sql`insert into observation (id, strike_id, checkpoint_id, subject, verdict, view, checklist_version, said_at)
      select gen_random_uuid(), strike_id, checkpoint_id, subject, 'clean', view, 1, now() from observation limit 1`, /one_observation_counts/],
    ['a strike that lands before it is launched', () => sql`update strike set launch_frame = contact_frame + 1`, /moments_in_order/],
    ['a rung beyond the ladder', () => sql`update training_session set rung = 8`, /rung_on_ladder/],
    ['a film that is ready and has no frames', () => sql`update film set timeline = null`, /ready_means_playable/],
    ['progress of more than all', () => sql`update film_step set progress = 1.2`, /progress_is_a_share/],
    ['a strike of no film', () => sql`update strike set film_id = ${uuid()}`, /film/],
    ['rounds that overlap', () => sql`insert into round (id, film_id, name, starts_at, ends_at, kind, manner, proposed)
      select gen_random_uuid(), ${scene.filmId}::uuid, 'one', n, n + 1500, 'heavy bag', 'rung', false from generate_series(0, 1000, 1000) n`, /rounds_do_not_overlap/],
    ['a round that ends before it begins', () => sql`insert into round (id, film_id, name, starts_at, ends_at, kind, manner, proposed)
      values (gen_random_uuid(), ${scene.filmId}, 'one', 5, 4, 'heavy bag', 'rung', false)`, /round_lasts|range lower bound/],
    ['a step that nobody works on', () => sql`update film_step set state = 'working', worker = null`, /work_has_a_worker/],
    ['two accounts with one address', () => sql`update account set email = 'same@club.example'`, /email/],
  ]; // prettier-ignore
  for (const [what, statement, constraint] of holds) {
    it(`does not hold ${what}`, async () => {
      const error = await server.services.db.execute(statement()).then(
        () => undefined,
        (reason: Error & { cause?: { constraint?: string } }) => reason.cause?.constraint ?? reason.message,
      );
      expect(error).to.match(constraint);
    });
  }
});
