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

/** How long what the pages of a trainee ask takes, in a club of a million marks and in one of a tenth. */
export async function benchScale(): Promise<Line[]> {
  const server = await startServer({ works: false });
  const { db } = server.services;
  const coach = await server.as('coach');
  const { traineeId } = await addScene(server);
  await db.execute(sql`update trainee set name = 'Scale, the one' where id = ${traineeId}`);
  await db.execute(sql`insert into trainee (id, name, stance, grade)
    select gen_random_uuid(), 'Crowd ' || n, 'orthodox', 'improver' from generate_series(1, 40) n`);

  const took = new Map<string, number[]>();
  let grown = { own: 0, others: 0 };
  for (const [size, { own, others }] of Object.entries(sizes)) {
    await addSessions(server, 'Scale', own - grown.own);
    await addSessions(server, 'Crowd', others - grown.others);
    grown = { own, others };
    const rows = await db.execute<{ id: string }>(
      sql`select id from training_session where trainee_id = ${traineeId} order by held_on desc limit 1`,
    );
    const sessionId = rows.rows[0]!.id;
    if (size === 'tenth')
      for (const checkpointId of ['gd.return-line', 'gd.other-hand', 'st.heels'])
        await openCorrection(
          db,
          {
            id: uuid(),
            sessionId,
            technique: 'jab',
            checkpointId,
            cue: 'Home',
            target: 0.15,
            topRung: 6,
            recheckOn: '2026-01-01',
          },
          { by: server.accountId('coach') },
        );
    const asked: [what: string, path: string][] = [
      ['the trainee', filledPath(traineeEndpoints.showTrainee.path, { traineeId })],
      ['all that was looked at', filledPath(reviewEndpoints.traineeJudged.path, { traineeId })],
      ['tallies of a session', `${filledPath(reviewEndpoints.traineeTallies.path, { traineeId })}?sessionId=${sessionId}`],
      ['levels of what is worked on', filledPath(answerEndpoints.traineeAnswers.path, { traineeId })],
      ['sessions', filledPath(sessionEndpoints.listSessions.path, { traineeId })],
      ['corrections', filledPath(correctionEndpoints.traineeCorrections.path, { traineeId })],
      [
        'levels of one thing',
        `${filledPath(answerEndpoints.traineeAnswers.path, { traineeId })}?technique=jab&checkpointId=st.lean`,
      ],
      ['answers of a session', filledPath(answerEndpoints.sessionAnswers.path, { sessionId })],
      ['corrections of the club', correctionEndpoints.listCorrections.path],
    ];
    for (const [what, path] of asked) {
      const all: number[] = [];
      for (let time = 0; time <= times; time++) {
        const begun = performance.now();
        const response = await coach.fetch(path);
        await response.arrayBuffer();
        if (!response.ok) throw new Error(`${path} answered ${response.status}`);
        // The first counts and works out what nobody has asked for yet.
        if (time > 0) all.push(performance.now() - begun);
      }
      took.set(`${size} ${what}`, all);
    }
  }
  await server.stop();
  return [...took].flatMap(([key, all]): Line[] => {
    const what = key.replace('whole ', '');
    const before = took.get(`tenth ${what}`);
    if (!before || what === key) return [];
    const [p95, ratio] = [quantile(all, 0.95)!, median(all)! / median(before)!];
    return [
      { what, measured: `${p95.toFixed(0)} ms`, target: `p95 ≤ ${most} ms`, reached: p95 <= most },
      { what: `${what}, ten times the data`, measured: `× ${ratio.toFixed(1)}`, target: '≤ × 2', reached: ratio <= 2 },
    ];
  });
}
