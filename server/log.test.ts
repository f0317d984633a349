import { accountEndpoints } from '@wax-fist/contract/accounts';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { password, startServer } from './test/server-under-test.ts';

describe('the log', () => {
  it('says what failed and where, and never a name, a note, an address, a password or a cookie', async () => {
    const logged: string[] = [];
    const server = await startServer({ works: false, logged });
    const coach = await server.as('coach');
    const id = uuid();
    const body = { id, name: 'Quillon Marsh', stance: 'southpaw', grade: 'beginner', note: 'Left knee, ask the parents' };
    expect((await coach.ask(traineeEndpoints.saveTrainee, { traineeId: id }, body)).status).to.equal(200);
    await coach.fetch('/api/trainees?find=Quillon');
    await coach.ask(accountEndpoints.signIn, {}, { email: 'quillon@club.example', password: 'wrong word' });
    await server.services.db.execute(sql`alter table trainee rename to elsewhere`);
    expect((await coach.ask(traineeEndpoints.saveTrainee, { traineeId: id }, body)).status).to.equal(500);
    await server.services.db.execute(sql`alter table elsewhere rename to trainee`);
    await server.stop();
    const all = logged.join('');
    expect(all).to.include('insert into \\"trainee\\"').and.include('42P01').and.include('"status":500');
    for (const secret of ['Quillon', 'quillon', 'Marsh', 'knee', 'waxfist', 'wrong word', password])
      expect(all).to.not.include(secret);
  });
});
