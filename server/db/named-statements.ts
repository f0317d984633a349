import { createHash } from 'node:crypto';
import type { PoolClient } from 'pg';

/** A statement that has come this often will come again: it is worth being kept ready. */
const often = 3;
/** No more than this are kept ready on a connection; one that has a list of another length each time is none of them. */
const most = 300;

/** The names of what comes again and again at the connections of one pool. */
export class StatementNames {
  readonly #counts = new Map<string, number>();
  readonly #names = new Map<string, string>();

  /** The name of a statement that is worth one. */
  of(text: string): string | undefined {
    const known = this.#names.get(text);
    if (known) return known;
    if (this.#names.size >= most) return undefined;
    if (this.#counts.size > 10 * most) this.#counts.clear();
    const count = (this.#counts.get(text) ?? 0) + 1;
    this.#counts.set(text, count);
    if (count < often) return undefined;
    this.#counts.delete(text);
    const name = `s_${createHash('sha1').update(text).digest('base64url')}`;
    this.#names.set(text, name);
    return name;
  }
}

/**
 * Has a connection keep statements ready that come again and again, under names made of their texts: PostgreSQL reads and plans such
 * a statement once for a connection and not at every request, which for a list with its counts is most of its time.
 */
export function nameStatements(client: PoolClient, names: StatementNames): void {
  type Query = (asked: unknown, values?: unknown, ...rest: unknown[]) => unknown;
  const query = client.query.bind(client) as Query;
  const named: Query = (asked, values, ...rest) => {
    if (typeof asked === 'string' && Array.isArray(values)) return query({ text: asked, name: names.of(asked) }, values, ...rest);
    if (isPlain(asked) && (Array.isArray(values) || Array.isArray(asked.values)))
      return query({ ...asked, name: asked.name ?? names.of(asked.text) }, values, ...rest);
    return query(asked, values, ...rest);
  };
  client.query = named as typeof client.query;
}

/** A statement that is told as an object, and not one that knows by itself how to be sent. */
const isPlain = (asked: unknown): asked is { text: string; name?: string; values?: unknown } =>
  typeof asked === 'object' && asked !== null && 'text' in asked && !('submit' in asked);
