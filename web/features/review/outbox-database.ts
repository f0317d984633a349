import type { Mark } from '@wax-fist/contract/review';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A mark that waits to be sent. */
export interface KeptMark {
  id: string;
  filmId: string;
  /** Whose word it is: it is sent when this account is signed in, and under no other. */
  accountId: string;
  mark: Mark;
}
interface OutboxSchema extends DBSchema {
  marks: { key: string; value: KeptMark; indexes: { account: string } };
}
export type OutboxDatabase = IDBPDatabase<OutboxSchema>;

/** As the first version of this database kept a mark. */
interface KeptFirst {
  id: string;
  clipId: string;
  accountId: string;
  entry: Mark;
}

/** Opens the browser's own database of marks. What an earlier version of the pages left in it is kept, and sent. */
export const openOutbox = (name = 'wax-fist-outbox'): Promise<OutboxDatabase> =>
  openDB<OutboxSchema>(name, 2, {
    // The transaction waits for what is done in it.
    // eslint-disable-next-line @typescript-eslint/no-misused-promises
    async upgrade(database, before, _now, transaction) {
      if (before < 1) database.createObjectStore('marks', { keyPath: 'id' }).createIndex('account', 'accountId');
      if (before !== 1) return;
      for (let at = await transaction.objectStore('marks').openCursor(); at; at = await at.continue()) {
        const { id, clipId: filmId, accountId, entry: mark } = at.value as KeptMark | KeptFirst as KeptFirst;
        await at.update({ id, filmId, accountId, mark });
      }
    },
  });
