import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import type { Endpoint } from '@wax-fist/contract/endpoint';
import { everyRow, type Page } from '@wax-fist/contract/page';
import { planEndpoints } from '@wax-fist/contract/plans';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { todayEndpoints } from '@wax-fist/contract/today';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { sql } from 'drizzle-orm';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';

interface Row {
  id?: string;
  name: string;
  sessions: number;
  lastSession: string | null;
  heldOn: string;
  plannedOn: string;
  recheckOn: string | null;
  version: number;
  film?: { id: string };
}

describe('long lists', function () {
  this.timeout(30_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let traineeId: string;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    ({ traineeId } = await addScene(server));
    // Names and days that stand more than once, so that pages begin and end within them.
    await server.services.db.execute(sql`do $$ begin
      insert into trainee (id, name, stance, grade) select gen_random_uuid(), 'Trainee ' || n % 40, 'orthodox', 'beginner' from generate_series(1, 230) n;
      insert into training_session (id, trainee_id, held_on, round_kind, rung, checklist_version, judged_by)
        select gen_random_uuid(), trainee_id, date '2026-01-01' + n % 30, 'heavy bag', 3, 1, judged_by from training_session, generate_series(1, 130) n;
      insert into film (id, session_id, view, file_name, bytes) select gen_random_uuid(), id, 'front', 'round.mp4', 1 from training_session;
      insert into correction (id, trainee_id, checkpoint_id, technique, cue, target, opened_in, rung, state, recheck_on)
        select gen_random_uuid(), trainee_id, 'st.chin', 'jab', 'Chin', 0.1, id, 3, 'closed', case when hashtext(id::text) % 3 = 0 then null else held_on end
        from training_session;
      insert into training_session (id, trainee_id, held_on, round_kind, rung, checklist_version, judged_by)
        select gen_random_uuid(), one.id, date '2026-02-01' + n, 'heavy bag', 3, 1, usual.judged_by
        from trainee one, generate_series(1, length(one.name) - 8) n, (select judged_by from training_session limit 1) usual
        where one.name like 'Trainee %';
      insert into correction_event (id, correction_id, kind, note) select gen_random_uuid(), id, 'closed', '' from correction;
      insert into plan (id, trainee_id, planned_on, length, impact, says)
        select gen_random_uuid(), trainee_id, date '2026-01-01' + n % 9, 3600, 1, '{"parts": []}' from (select trainee_id from training_session limit 1) one, generate_series(1, 70) n;
      insert into checklist_version (version, edits) select n, '{"checkpoints": [], "techniques": [], "checklists": {}}' from generate_series(2, 120) n;
    end $$`);
  });
  after(() => server.stop());

  const named = ({ name, id }: Pick<Row, 'name' | 'id'>): string => `${name} ${id}`;
  const lists: [
    what: string,
    endpoint: Endpoint,
    count: number,
    by: (row: Row) => string,
    up: boolean,
    query?: Record<string, string>,
  ][] = [
    ['trainees', traineeEndpoints.listTrainees, 231, named, true],
    ['trainees with a name', traineeEndpoints.listTrainees, 5, named, true, { find: 'trainee 39' }],
    [
      'trainees by sessions',
      traineeEndpoints.listTrainees,
      231,
      ({ sessions, ...row }) => `${String(sessions).padStart(3, '0')} ${named(row)}`,
      true,
      { order: 'sessions' },
    ],
    [
      'trainees, most sessions first',
      traineeEndpoints.listTrainees,
      231,
      ({ sessions, ...row }) => `${999 - sessions} ${named(row)}`,
      true,
      { order: '-sessions' },
    ],
    [
      'trainees by when they were last filmed',
      traineeEndpoints.listTrainees,
      231,
      ({ lastSession, ...row }) => `${lastSession ?? ''} ${named(row)}`,
      true,
      { order: 'lastSession' },
    ],
    ['trainees from the last name on', traineeEndpoints.listTrainees, 231, named, false, { order: '-name' }],
    ['sessions', sessionEndpoints.listSessions, 131, ({ heldOn, id }) => `${heldOn} ${id}`, false],
    ['films to review', todayEndpoints.filmsToReview, 132, ({ heldOn }) => heldOn, false],
    [
      'corrections',
      correctionEndpoints.traineeCorrections,
      131,
      ({ recheckOn, id }) => `${recheckOn ?? '9999'} ${id}`,
      true,
      { state: 'closed' },
    ],
    ['plans', planEndpoints.traineePlans, 70, ({ plannedOn, id }) => `${plannedOn} ${id}`, false],
    ['versions', checklistEndpoints.listChecklistVersions, 120, ({ version }) => String(version).padStart(4, '0'), false],
  ];
  for (const [what, endpoint, count, by, up, query] of lists) {
    const ask = (after: object = {}) => coach.ask<Page<Row>>(endpoint, { traineeId }, undefined, {}, { ...query, ...after });

    const nameOf = (row: Row) => row.id ?? row.film?.id ?? row.version;
    it(`${what} come page by page, each once, in order`, async () => {
      const rows = await everyRow(async (after) => (await ask(after)).body);
      expect(rows).to.have.length(count);
      expect(new Set(rows.map(nameOf)).size).to.equal(count);
      const order = rows.map(by);
      const sorted = [...order].sort();
      expect(order).to.deep.equal(up ? sorted : sorted.reverse());
    });

    it(`${what} refuse a place that there is not`, async () => {
      for (const after of ['nowhere', Buffer.from('[1]').toString('base64url'), Buffer.from('{}').toString('base64url')])
        expect((await ask({ after })).status).to.equal(422);
    });
  }
});
