import type { Page } from '@wax-fist/contract/page';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import fc from 'fast-check';
import type { PoolClient } from 'pg';
import { v7 as uuid } from 'uuid';
import { observed, thrown } from '../test/marks.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';

describe('kept answers', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());

  const names = async (as = coach): Promise<string[]> =>
    (await as.ask<Page<Trainee>>(traineeEndpoints.listTrainees)).body.rows.map(({ name }) => name);
  /** How often a connection to the database was needed for something. */
  async function connectionsFor(doing: () => Promise<unknown>): Promise<number> {
    let taken = 0;
    const count = (): void => void taken++;
    server.services.pool.on('acquire', count);
    await doing().finally(() => server.services.pool.off('acquire', count));
    return taken;
  }
  /** The same at best: whatever else writes on this PostgreSQL meanwhile, in another database as well, has everything asked anew. */
  async function fewestConnectionsFor(doing: () => Promise<unknown>): Promise<number> {
    let fewest = Infinity;
    for (let time = 0; time < 50 && fewest > 1; time++) fewest = Math.min(fewest, await connectionsFor(doing));
    return fewest;
  }
  const add = (by: PoolClient, name: string) =>
    by.query(`insert into trainee (id, name, stance, grade) values ($1, $2, 'orthodox', 'beginner')`, [uuid(), name]);

  it('come again without the question being asked of the database, to whoever asked and to nobody else', async () => {
    await names();
    expect(await fewestConnectionsFor(names), 'the sign-in alone').to.equal(1);
    const other = await server.as('assistant');
    await names();
    expect(await connectionsFor(() => names(other))).to.be.greaterThan(1);
    expect(await fewestConnectionsFor(names)).to.equal(1);
    expect((await server.visitor().ask(traineeEndpoints.listTrainees)).status).to.equal(401);
  });

  it('are what the database says, whoever writes meanwhile and whenever it becomes true', async () => {
    const writers = await Promise.all([0, 1, 2].map(() => server.services.pool.connect()));
    try {
      const step = fc.record({ by: fc.nat(2), does: fc.constantFrom('write', 'write', 'commit', 'rollback', 'ask', 'ask') });
      let count = 0;
      await fc.assert(
        fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 25 }), async (steps) => {
          await writers[0]!.query('delete from trainee');
          const standing = new Set<string>();
          const open = writers.map((): string[] | undefined => undefined);
          const end = async (by: number, how: 'commit' | 'rollback'): Promise<void> => {
            await writers[by]!.query(how);
            if (how === 'commit') open[by]!.forEach((name) => standing.add(name));
            open[by] = undefined;
          };
          for (const { by, does } of steps) {
            if (does === 'write') {
              if (!open[by]) await writers[by]!.query('begin');
              const name = `Somebody ${count++}`;
              await add(writers[by]!, name);
              (open[by] ??= []).push(name);
            } else if (does !== 'ask' && open[by]) await end(by, does);
            expect(await names()).to.have.members([...standing]);
          }
          for (const by of open.keys()) if (open[by]) await end(by, 'rollback');
        }),
        { numRuns: 25 },
      );
    } finally {
      for (const writer of writers) {
        await writer.query('rollback');
        writer.release();
      }
    }
  });

  it('hold a mark as soon as it is taken, and leave packed in whatever way is understood', async () => {
    const { filmId } = await addScene(server);
    const strikeId = uuid();
    const put = (mark: unknown) => coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: [mark] });
    const review = async (packing: string) => {
      const answer = await coach.ask(reviewEndpoints.showReview, { filmId }, undefined, { 'accept-encoding': packing });
      return answer.body;
    };
    await put(thrown(strikeId));
    for (const checkpointId of ['st.chin', 'gd.height', 'st.knees', 'st.lean', 'gd.return-line']) {
      await put(observed(strikeId, 'clean', { checkpointId }));
      for (const packing of ['br', 'gzip', 'identity'])
        expect((await review(packing)).observations.map((one: { checkpointId: string }) => one.checkpointId)).to.include(
          checkpointId,
        );
    }
    const raw = await coach.fetch(reviewEndpoints.showReview.path.replace(':filmId', filmId), {
      headers: { 'accept-encoding': 'gzip' },
    });
    expect(raw.headers.get('content-encoding')).to.equal('gzip');
    expect(raw.headers.get('cache-control')).to.equal('no-store');
  });
});
