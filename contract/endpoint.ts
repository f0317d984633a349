import type { InferType, Schema } from 'yup';

export const roles = ['head-coach', 'coach', 'trainee'] as const;
export type Role = (typeof roles)[number];

/** Who may call: everyone, or the signed-in with one of these roles. */
export type Allowed = 'anyone' | readonly Role[];
export const coaches: Allowed = ['head-coach', 'coach'];
export const signedIn: Allowed = roles;

/** Names after a colon in a path. */
type ParamNames<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | ParamNames<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never;
export type Params<Path extends string> = Record<ParamNames<Path>, string>;

/** One request that the web makes of the server, with the shape of both directions. */
export interface Endpoint<Path extends string = string, Body extends Schema | undefined = Schema | undefined, Reply extends Schema | undefined = Schema | undefined> {
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  path: Path;
  allowed: Allowed;
  body: Body;
  /** Undefined for bytes (pictures, films) and for replies without content. */
  reply: Reply;
} // prettier-ignore

export type BodyOf<E extends Endpoint> = E['body'] extends Schema ? InferType<E['body']> : undefined;
export type ReplyOf<E extends Endpoint> = E['reply'] extends Schema ? InferType<E['reply']> : undefined;
export type ParamsOf<E extends Endpoint> = Params<E['path']>;

/** Declares an endpoint, keeping its literal types. */
export function endpoint<
  const Path extends string,
  Body extends Schema | undefined = undefined,
  Reply extends Schema | undefined = undefined,
>(
  method: Endpoint['method'],
  path: Path,
  allowed: Allowed,
  shapes: { body?: Body; reply?: Reply } = {},
): Endpoint<Path, Body, Reply> {
  return { method, path, allowed, body: shapes.body as Body, reply: shapes.reply as Reply };
}

/** Fills a path's parameters in. */
export const filledPath = (path: string, params: Record<string, string>): string =>
  path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
