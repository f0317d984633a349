import { createHash } from 'node:crypto';
import type { PoolClient } from 'pg';

/** A statement that has come this often will come again: it is worth being kept ready. */
const often = 3;
/** No more than this are kept ready on a connection; one that has a list of another length each time is none of them. */
const most = 300;

const counts = new Map<string, number>();
const names = new Map<string, string>();

/** The name of a statement that is worth one. */
function nameOf(text: string): string | undefined {
  const known = names.get(text);
  if (known) return known;
  if (names.size >= most) return undefined;
  if (counts.size > 10 * most) counts.clear();
  const count = (counts.get(text) ?? 0) + 1;
  counts.set(text, count);
  if (count < often) return undefined;
  counts.delete(text);
  const name = `s_${createHash('sha1').update(text).digest('base64url')}`;
  names.set(text, name);
  return name;
}

/**
 * Has a connection keep statements ready that come again and again, under names made of their texts: PostgreSQL reads and plans such
 * a statement once for a connection and not at every request, which for a list with its counts is most of its time.
 */
export function nameStatements(client: PoolClient): void {
  type Query = (asked: unknown, values?: unknown, ...rest: unknown[]) => unknown;
  const query = client.query.bind(client) as Query;
  const named: Query = (asked, values, ...rest) => {
    if (typeof asked === 'string' && Array.isArray(values)) return query({ text: asked, name: nameOf(asked) }, values, ...rest);
    if (isPlain(asked) && (Array.isArray(values) || Array.isArray(asked.values)))
      return query({ ...asked, name: asked.name ?? nameOf(asked.text) }, values, ...rest);
    return query(asked, values, ...rest);
  };
  client.query = named as typeof client.query;
}

/** A statement that is told as an object, and not one that knows by itself how to be sent. */
const isPlain = (asked: unknown): asked is { text: string; name?: string; values?: unknown } =>
  typeof asked === 'object' && asked !== null && 'text' in asked && !('submit' in asked);
