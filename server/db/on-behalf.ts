import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import type { Pool, PoolClient } from 'pg';

const whoAsks = new AsyncLocalStorage<string>();

/**
 * Does something on behalf of an account: what it changes stands in the journal under that name. It is waited for in here: a
 * statement is sent only when somebody waits for it.
 */
export const onBehalfOf = <T>(accountId: string, doing: () => PromiseLike<T>): Promise<T> =>
  whoAsks.run(accountId, async () => doing());

/** Statements that change nothing need no name. */
const changes = /^\s*(insert|update|delete|with)\b/i;
/** What is told within a transaction is taken back with it. */
const ends = /^\s*(commit|rollback)\b/i;
/** As what a connection is known of which nobody knows what it was told. */
const unknown = '?';
const textOf = (asked: unknown): string =>
  typeof asked === 'string' ? asked : ((asked as { text?: unknown } | null)?.text?.toString() ?? '');

/**
 * Tells the database on whose behalf a connection works, before the first statement that changes something and whenever it is
 * somebody else: connections are shared.
 */
export function namesWhoAsks(client: PoolClient): void {
  type Query = (asked: unknown, ...rest: unknown[]) => unknown;
  const query = client.query.bind(client) as Query;
  let told = '';
  const named: Query = (asked, ...rest) => {
    const who = whoAsks.getStore() ?? '';
    const text = textOf(asked);
    if (ends.test(text)) told = unknown;
    if (who === told || !changes.test(text)) return query(asked, ...rest);
    told = who;
    const tell = { name: 'on_behalf', text: `select set_config('wax.account', $1, false)`, values: [who] };
    const answer = (query(tell) as Promise<unknown>).catch((error: unknown) => {
      told = unknown;
      throw error;
    });
    const answered = rest.at(-1);
    if (typeof answered !== 'function') return answer.then(() => query(asked, ...rest));
    answer.then(
      () => query(asked, ...rest),
      (error: unknown) => (answered as (error: unknown) => void)(error),
    );
    return undefined;
  };
  client.query = named as typeof client.query;
}

/** Whoever waits for a connection goes on as who they are, and not as whoever gave it back. */
export function keepsWhoWaits(pool: Pool): void {
  type Told = (error: Error | undefined, client: PoolClient | undefined, done: (release?: unknown) => void) => void;
  const connect = pool.connect.bind(pool) as (told?: Told) => unknown;
  pool.connect = ((told?: Told) => (told ? connect(AsyncResource.bind(told)) : connect())) as typeof pool.connect;
}
