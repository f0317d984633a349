import { expect } from 'chai';
import { sql } from 'drizzle-orm';
import { connect } from './connection.ts';

describe('statements that come again and again', () => {
  const kept = async (pool: ReturnType<typeof connect>['pool']): Promise<string[]> =>
    (await pool.query<{ statement: string }>('select statement from pg_prepared_statements')).rows.map(
      ({ statement }) => statement,
    );

  it('are kept ready by the connection, those that came once are not, and all answer the same', async () => {
    const { db, pool, close } = connect(process.env.WAX_DATABASE_URL!, 1);
    const twice = (value: number) => db.execute<{ twice: number }>(sql`select ${value}::int * 2 as twice`);
    for (let value = 0; value < 6; value++) expect((await twice(value)).rows).to.deep.equal([{ twice: value * 2 }]);
    await db.execute(sql`select ${1}::int + 1 as once`);
    const statements = await kept(pool);
    expect(statements.some((text) => text.includes('* 2 as twice'))).to.equal(true);
    expect(statements.some((text) => text.includes('as once'))).to.equal(false);
    await close();
  });

  it('in a transaction, with an error among them, do no harm to each other', async () => {
    const { db, close } = connect(process.env.WAX_DATABASE_URL!, 1);
    const inverse = (value: number) => db.execute<{ inverse: number }>(sql`select 10 / ${value}::int as inverse`);
    for (const value of [1, 2, 5]) await inverse(value);
    for (const value of [0, 0]) {
      const failed = await inverse(value).catch(() => 'refused');
      expect(failed).to.equal('refused');
    }
    await db.transaction(async (tx) => {
      for (const value of [1, 2, 5])
        expect((await tx.execute<{ inverse: number }>(sql`select 10 / ${value}::int as inverse`)).rows[0]!.inverse).to.equal(
          10 / value,
        );
    });
    await close();
  });
});
