import { reviewEndpoints, type WrittenMarks } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { observation } from '../../db/schema/index.ts';
import type { Database } from '../../db/connection.ts';
import { observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest } from '../../test/server-under-test.ts';
import { markDesk } from './mark-desk.ts';
import { writeMarks } from './write-marks.ts';

describe('the desk of marks', () => {
  let server: ServerUnderTest;
  let scene: ClubScene;
  let strikeId: string;
  before(async () => {
    server = await startServer();
    scene = await addScene(server);
  });
  after(() => server.stop());
  beforeEach(async () => {
    strikeId = uuid();
    await writeMarks(server.services.db, scene.filmId, [thrown(strikeId)], server.accountId('coach'));
  });

  /** The database, counting how many transactions are begun; each may do something first. */
  function counted(first: (transaction: number) => Promise<void> | void = () => undefined): {
    db: Database;
    begun: () => number;
  } {
    let begun = 0;
    const db = Object.create(server.services.db) as Database;
    db.transaction = async (...asked) => {
      await first(++begun);
      return server.services.db.transaction(...asked);
    };
    return { db, begun: () => begun };
  }
  const logged = () => server.services.db.select().from(observation).where(eq(observation.strikeId, strikeId));

  it('writes what comes while it writes together, and answers each for itself', async () => {
    const { db, begun } = counted();
    const write = markDesk(db);
    const send = (...marks: unknown[]): Promise<WrittenMarks> => write(scene.filmId, marks, server.accountId('coach'));
    const sent = Array.from({ length: 20 }, () => observed(strikeId, 'clean'));
    const lost = observed(uuid(), 'clean');
    const [first, twice, odd, ...rest] = await Promise.all([
      send(sent[0]),
      send(sent[1], sent[0]),
      send({ kind: 'none' }, sent[2], lost),
      ...sent.slice(3).map((mark) => send(mark)),
    ]);
    expect(begun()).to.equal(2);
    expect(first).to.deep.equal({ kept: [sent[0]!.id], refused: [] });
    expect(twice).to.deep.equal({ kept: [sent[1]!.id, sent[0]!.id], refused: [] });
    expect(odd.kept).to.deep.equal([sent[2]!.id]);
    expect(odd.refused.map(({ place }) => place)).to.deep.equal([0, 2]);
    expect(rest.map(({ kept }) => kept)).to.deep.equal(sent.slice(3).map(({ id }) => [id]));
    const standing = (await logged()).filter(({ superseded }) => !superseded);
    expect(standing.map(({ id }) => id)).to.deep.equal([
      sent
        .map(({ id }) => id)
        .sort()
        .at(-1),
    ]);
  });

  it('writes what two coaches send, and of two films, each by itself', async () => {
    const { db, begun } = counted();
    const write = markDesk(db);
    const other = await addScene(server);
    const [mine, theirs] = [observed(strikeId, 'clean'), observed(strikeId, 'fault')];
    await Promise.all([
      write(scene.filmId, [mine], server.accountId('coach')),
      write(scene.filmId, [theirs], server.accountId('head-coach')),
      write(other.filmId, [thrown(uuid())], server.accountId('coach')),
    ]);
    expect(begun()).to.equal(3);
    expect(new Map((await logged()).map(({ id, saidBy }) => [id, saidBy]))).to.deep.equal(
      new Map([
        [mine.id, server.accountId('coach')],
        [theirs.id, server.accountId('head-coach')],
      ]),
    );
  });

  it('lets the one fail alone that brings the others down', async () => {
    // Written together the second time, then each by itself, of which the second fails.
    const { db } = counted((transaction) => {
      if (transaction === 2 || transaction === 4) throw new Error('The disk is full.');
    });
    const write = markDesk(db);
    const sent = Array.from({ length: 4 }, () => observed(strikeId, 'clean'));
    const ends = await Promise.allSettled(sent.map((mark) => write(scene.filmId, [mark], server.accountId('coach'))));
    expect(ends.map(({ status }) => status)).to.deep.equal(['fulfilled', 'fulfilled', 'rejected', 'fulfilled']);
    expect(await logged()).to.have.length(3);
  });

  it('takes no more into one transaction than a request may bring', async () => {
    const { db, begun } = counted();
    const write = markDesk(db);
    const marks = Array.from({ length: 3 }, () => Array.from({ length: 300 }, () => observed(strikeId, 'clean')));
    await Promise.all(
      [[observed(strikeId, 'clean')], ...marks].map((sent) => write(scene.filmId, sent, server.accountId('coach'))),
    );
    expect(begun()).to.equal(4);
    expect(await logged()).to.have.length(901);
  });

  it('refuses all of a film that is not here', async () => {
    const coach = await server.as('coach');
    const answers = await Promise.all(
      [1, 2, 3].map(() => coach.ask(reviewEndpoints.writeMarks, { filmId: uuid() }, { marks: [thrown(uuid())] })),
    );
    expect(answers.map(({ status }) => status)).to.deep.equal([404, 404, 404]);
  });
});
