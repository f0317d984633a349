import { sql } from 'drizzle-orm';
import type { Database } from '../server/db/connection.ts';

/** A session has one film of so many strikes, each judged on ten rows: a thousand marks. */
const strikesEach = 100;

/** Adds sessions, three days apart, to the trainees of one name, evenly; what was faulty is told by the ids, so that nothing is random. */
export async function addSessions(db: Database, name: string, sessions: number): Promise<void> {
  const like = sql.raw(`'${name}%'`);
  const one = sql.raw(String(sessions));
  await db.execute(sql`
    with people as (select id, row_number() over (order by id) - 1 as place, count(*) over () as people from trainee where name like ${like}),
      held as (
        insert into training_session (id, trainee_id, held_on, round_kind, rung, checklist_version, judged_by)
        select gen_random_uuid(), people.id, date '2025-01-01' + 3 * (n / people::int), 'heavy bag', 3 + n % 2, 1, usual.judged_by
        from generate_series(1, ${one}) n join people on place = n % people, (select judged_by from training_session limit 1) usual
        returning id),
      filmed as (
        insert into film (id, session_id, view, file_name, bytes, done) select gen_random_uuid(), id, 'lead-side', 'round.mp4', 1, true from held
        returning id),
      thrown as (
        insert into strike (id, film_id, technique, launch_frame, contact_frame, home_frame, removed, said_at, revision_id)
        select gen_random_uuid(), id, (array['jab', 'cross', 'lead-hook'])[1 + n % 3], n, n + 1, n + 2, false, now(), gen_random_uuid()
        from filmed, generate_series(1, ${sql.raw(String(strikesEach))}) n returning id)
    insert into observation (id, strike_id, checkpoint_id, subject, verdict, view, checklist_version, said_at)
      select gen_random_uuid(), id, row, 'trainee', case when hashtext(id::text || row) % 4 = 0 then 'fault' else 'clean' end, 'lead-side', 1, now()
      from thrown, unnest(array['st.heels', 'st.lean', 'st.width', 'st.chin', 'pv.rear-turn', 'gd.return-line', 'gd.other-hand', 'sm.range', 'sm.telegraph', 'sm.snap']) row`);
  // What is filled at once is tidied up at once: otherwise the database does it while it is measured.
  await db.execute(sql`vacuum analyze`);
}

/** Adds forty trainees who have so many sessions together; there is a session already, as whose kind theirs are. */
export async function addCrowd(db: Database, sessions: number): Promise<void> {
  await db.execute(sql`insert into trainee (id, name, stance, grade)
    select gen_random_uuid(), 'Crowd ' || n, 'orthodox', 'improver' from generate_series(1, 40) n`);
  await addSessions(db, 'Crowd', sessions);
}
