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
import { addScene, startServer } from '../server/test/server-under-test.ts';
import { addCrowd, addSessions } from './crowd.ts';
import type { Line } from './table.ts';

/** Sessions of the one who is looked at, and of all others together: 200,000 marks in a club of a million, and a tenth of both. */
const sizes = { tenth: { own: 20, others: 80 }, whole: { own: 200, others: 800 } } as const;
const [times, most] = [40, 100];
/** So often each is asked before it is timed: what runs for the first time is slow whatever there is. */
const warmingUp = 15;

/** A club of one size, and what the pages of its trainee ask. */
async function clubOf({ own, others }: (typeof sizes)[keyof typeof sizes]) {
  const server = await startServer({ works: false });
  const { db } = server.services;
  const coach = await server.as('coach');
  const { traineeId } = await addScene(server);
  await db.execute(sql`update trainee set name = 'Scale, the one' where id = ${traineeId}`);
  await addSessions(db, 'Scale', own);
  await addCrowd(db, others);
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
