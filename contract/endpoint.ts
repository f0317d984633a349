import type { InferType, Schema } from 'yup';

/** Who somebody is in the club. */
export const roles = ['head-coach', 'coach', 'assistant', 'trainee', 'guardian'] as const;
export type Role = (typeof roles)[number];

/** Those who work in the club: they film and mark. The others look at what was released to them. */
export const staffRoles = ['head-coach', 'coach', 'assistant'] as const satisfies readonly Role[];
export const isStaff = (role: Role): boolean => staffRoles.some((one) => one === role);

/**
 * How far somebody reaches: over all of the club, or over what is their own. Of those who work in the club that is what they
 * have added; of trainees and guardians what was released of whom they sign in for, and of some of it also what is shown to
 * everybody of the club.
 */
export type Scope = 'club' | 'own' | 'shown';
/** Who may call and how far each role reaches. A role that is not named may not. */
export type Allowed = 'anyone' | Readonly<Partial<Record<Role, Scope>>>;
/** Whoever judges what comes of it: opens corrections, plans, releases. */
export const coaches: Allowed = { 'head-coach': 'club', coach: 'club' };
/** Whoever films and marks. */
export const staff: Allowed = { ...coaches, assistant: 'club' };
/** What holds for the whole club: by what it judges. */
export const headCoachOnly: Allowed = { 'head-coach': 'club' };
/** What cannot be taken back: each with what they added, the head coach with everything. */
export const whoAddedIt: Allowed = { 'head-coach': 'club', coach: 'own', assistant: 'own' };
/** Whoever signs in for trainees, themselves or their children, reaches what was released of these. */
export const ownPages: Allowed = { trainee: 'own', guardian: 'own' };
/** What a trainee may see as well, of their own. */
export const staffAndOwn: Allowed = { ...staff, ...ownPages };
/** What is theirs, and what of others is shown to everybody of the club. */
export const ownAndShown: Allowed = { trainee: 'shown', guardian: 'shown' };
export const staffAndShown: Allowed = { ...staff, ...ownAndShown };
/** Everybody who has signed in, about themselves. */
export const signedIn: Allowed = { 'head-coach': 'own', coach: 'own', assistant: 'own', ...ownPages };
/** Everybody who has signed in: knowledge of the club that is about nobody. */
export const everybody: Allowed = { ...staff, trainee: 'club', guardian: 'club' };

/** How far a role reaches at an endpoint; undefined when it may not call it. Without a role one is nobody. */
export function scopeOf(allowed: Allowed, role: Role | undefined): Scope | undefined {
  if (allowed === 'anyone') return 'own';
  return role && allowed[role];
}

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
  /** What of somebody is seen by it; it is written down who has seen it. */
  sees?: Sight;
  /** A server works at it for long: nobody may ask for it again and again. */
  costly?: boolean;
}

/** What is seen by an endpoint: its table, and the parameter of the path that names it. */
export interface Sight {
  kind: 'trainee' | 'training_session' | 'film' | 'correction' | 'montage' | 'archive';
  by: string;
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

/** The same endpoint, of which it is written down who saw what by it. */
export const seen = <E extends Endpoint>(kind: Sight['kind'], by: keyof ParamsOf<E> & string, endpoint: E): E => ({
  ...endpoint,
  sees: { kind, by },
});

/** The same endpoint, at which a server works for long. */
export const costly = <E extends Endpoint>(endpoint: E): E => ({ ...endpoint, costly: true });

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
