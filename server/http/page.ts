import type { Page } from '@wax-fist/contract/page';
import { Refusal } from './refusal.ts';

/** Where a page ends: the values by which its list is ordered, of its last row. */
export type PageKeys = readonly (string | null)[];

const written = (keys: PageKeys): string => Buffer.from(JSON.stringify(keys)).toString('base64url');

/**
 * Reads what a page told as its `next`. What it says is only where to go on, so it need not be secret.
 * @param count how many keys the list is ordered by
 * @returns undefined for the first page
 * @throws Refusal when it was not told by such a list
 */
export function keysAfter(after: string | undefined, count: number): PageKeys | undefined {
  if (after === undefined) return undefined;
  try {
    const keys: unknown = JSON.parse(Buffer.from(after, 'base64url').toString());
    const isKey = (key: unknown): boolean => key === null || typeof key === 'string';
    if (Array.isArray(keys) && keys.length === count && keys.every(isKey)) return keys as PageKeys;
  } catch {
    // Told below.
  }
  throw new Refusal(422, 'This part of the list is not there. Begin at its top.');
}

/** Cuts a page off rows that were asked for one more than fit on it. */
export function asPage<Row>(rows: readonly Row[], size: number, keysOf: (row: Row) => PageKeys): Page<Row> {
  const shown = rows.slice(0, size);
  return { rows: shown, next: rows.length > size ? written(keysOf(shown.at(-1)!)) : null };
}
