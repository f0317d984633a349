import type { InferType, Schema } from 'yup';

/** Who somebody is in the club. */
export const roles = ['head-coach', 'coach', 'trainee'] as const;
export type Role = (typeof roles)[number];

/** Who may call: everyone, or the signed-in with one of these roles. */
export type Allowed = 'anyone' | readonly Role[];
/** Whoever films and judges. */
export const coaches: Allowed = ['head-coach', 'coach'];
/** Everybody who has signed in. */
export const signedIn: Allowed = roles;

/** Names after a colon in a path. */
type ParamNames<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | ParamNames<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;
/** Texts for every `:name` of a path. */
export type Params<Path extends string> = Record<ParamNames<Path>, string>;

/** One request that the web makes of the server, with the shape of both directions. */
export interface Endpoint<
  Path extends string = string,
  Body extends Schema | undefined = Schema | undefined,
  Reply extends Schema | undefined = Schema | undefined,
  Query extends Schema | undefined = Schema | undefined,
> {
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  path: Path;
  allowed: Allowed;
  /** What stands behind the question mark; all of it may be left out. */
  query: Query;
  body: Body;
  /** Undefined for bytes (pictures, films) and for replies without content. */
  reply: Reply;
}

type Shaped<Shape> = Shape extends Schema ? InferType<Shape> : undefined;
/** The query of an endpoint, checked; undefined where it has none. */
export type QueryOf<E extends Endpoint> = Shaped<E['query']>;
/** The body of a request to an endpoint, checked; undefined where it has none. */
export type BodyOf<E extends Endpoint> = Shaped<E['body']>;
/** What an endpoint answers; undefined where it answers nothing. */
export type ReplyOf<E extends Endpoint> = Shaped<E['reply']>;
/** What stands in the path of an endpoint. */
export type ParamsOf<E extends Endpoint> = Params<E['path']>;

/** Declares an endpoint, keeping its literal types. */
export function endpoint<
  const Path extends string,
  Body extends Schema | undefined = undefined,
  Reply extends Schema | undefined = undefined,
  Query extends Schema | undefined = undefined,
>(
  method: Endpoint['method'],
  path: Path,
  allowed: Allowed,
  shapes: { query?: Query; body?: Body; reply?: Reply } = {},
): Endpoint<Path, Body, Reply, Query> {
  const { query, body, reply } = shapes;
  return { method, path, allowed, query: query as Query, body: body as Body, reply: reply as Reply };
}

/** An address with its parameters filled in, and with what is asked behind a question mark. */
export function filledPath(
  path: string,
  params: Record<string, string>,
  query: Readonly<Record<string, string | undefined>> = {},
): string {
  const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
  const asked = Object.entries(query).flatMap(([name, value]) => (value === undefined ? [] : [[name, value]]));
  return asked.length === 0 ? filled : `${filled}?${new URLSearchParams(asked)}`;
}
