import { answerEndpoints } from '@wax-fist/contract/answers';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { filledPath } from '@wax-fist/contract/endpoint';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { median, quantile } from 'd3-array';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { openCorrection } from '../server/features/corrections/write-corrections.ts';
import { addScene, startServer, type ServerUnderTest } from '../server/test/server-under-test.ts';
import type { Line } from './table.ts';

/** A session has one film of so many strikes, each judged on ten rows. */
const strikesEach = 100;
/** Sessions of the one who is looked at, and of all others together: 200,000 marks in a club of a million, and a tenth of both. */
const sizes = { tenth: { own: 20, others: 80 }, whole: { own: 200, others: 800 } } as const;
const [times, most] = [40, 100];
/** So often each is asked before it is timed: what runs for the first time is slow whatever there is. */
const warmingUp = 15;

/** Adds sessions, three days apart, to the trainees of one name, evenly; what was faulty is told by the ids, so that nothing is random. */
async function addSessions({ services: { db } }: ServerUnderTest, name: string, sessions: number): Promise<void> {
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
  await db.execute(sql`analyze`);
}

/** A club of one size, and what the pages of its trainee ask. */
async function clubOf({ own, others }: (typeof sizes)[keyof typeof sizes]) {
  const server = await startServer({ works: false });
  const { db } = server.services;
  const coach = await server.as('coach');
  const { traineeId } = await addScene(server);
  await db.execute(sql`update trainee set name = 'Scale, the one' where id = ${traineeId}`);
  await db.execute(sql`insert into trainee (id, name, stance, grade)
    select gen_random_uuid(), 'Crowd ' || n, 'orthodox', 'improver' from generate_series(1, 40) n`);
  await addSessions(server, 'Scale', own);
  await addSessions(server, 'Crowd', others);
  // The session with which the trainee came is none of them: nothing is judged in it.
  const judged = await db.execute<{
    id: string;
  }>(sql`select session.id from training_session session join film on film.session_id = session.id
    where trainee_id = ${traineeId} and exists (select 1 from strike where film_id = film.id) order by held_on`);
  const ids = judged.rows.map(({ id }) => id);
  // Worked on for as long in both: from the tenth session on.
  const openedIn = ids[9]!;
  const sessionId = ids.at(-1)!;
  for (const checkpointId of ['gd.return-line', 'gd.other-hand', 'st.heels'])
    await openCorrection(
      db,
      {
        id: uuid(),
        sessionId: openedIn,
        technique: 'jab',
        checkpointId,
        cue: 'Home',
        target: 0.15,
        topRung: 6,
        recheckOn: '2026-01-01',
      },
      { by: server.accountId('coach') },
    );
  const asked: Record<string, string> = {
    'the trainee': filledPath(traineeEndpoints.showTrainee.path, { traineeId }),
    'all that was looked at': filledPath(reviewEndpoints.traineeJudged.path, { traineeId }),
    'tallies of a session': `${filledPath(reviewEndpoints.traineeTallies.path, { traineeId })}?sessionId=${sessionId}`,
    'levels of what is worked on': filledPath(answerEndpoints.traineeAnswers.path, { traineeId }),
    'when tired, on one side, from rung to rung': filledPath(answerEndpoints.traineeConditions.path, { traineeId }),
    sessions: filledPath(sessionEndpoints.listSessions.path, { traineeId }),
    corrections: filledPath(correctionEndpoints.traineeCorrections.path, { traineeId }),
    'levels of one thing': `${filledPath(answerEndpoints.traineeAnswers.path, { traineeId })}?technique=jab&checkpointId=st.lean`,
    'answers of a session': filledPath(answerEndpoints.sessionAnswers.path, { sessionId }),
    'corrections of the club': correctionEndpoints.listCorrections.path,
  };
  const timed = async (what: string): Promise<number> => {
    const begun = performance.now();
    const response = await coach.fetch(asked[what]!);
    await response.arrayBuffer();
    if (!response.ok) throw new Error(`${asked[what]} answered ${response.status}`);
    return performance.now() - begun;
  };
  return { server, asked: Object.keys(asked), timed };
}

/**
 * How long what the pages of a trainee ask takes, in a club of a million marks and in one of a tenth. Both are asked in turns: on a
 * machine on which others work as well, minutes differ more than clubs.
 */
export async function benchScale(): Promise<Line[]> {
  const [tenth, whole] = [await clubOf(sizes.tenth), await clubOf(sizes.whole)];
  const lines: Line[] = [];
  for (const what of whole.asked) {
    const took = { tenth: [] as number[], whole: [] as number[] };
    for (let time = -warmingUp; time < times; time++) {
      const now = { tenth: await tenth.timed(what), whole: await whole.timed(what) };
      if (time < 0) continue;
      took.tenth.push(now.tenth);
      took.whole.push(now.whole);
    }
    const [p95, ratio] = [quantile(took.whole, 0.95)!, median(took.whole)! / median(took.tenth)!];
    lines.push(
      { what, measured: `${p95.toFixed(0)} ms`, target: `p95 ≤ ${most} ms`, reached: p95 <= most },
      { what: `${what}, ten times the data`, measured: `× ${ratio.toFixed(1)}`, target: '≤ × 2', reached: ratio <= 2 },
    );
  }
  await tenth.server.stop();
  await whole.server.stop();
  return lines;
}
