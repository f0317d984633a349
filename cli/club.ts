import { accountEndpoints } from '@wax-fist/contract/accounts';
import { filledPath, type BodyOf, type Endpoint, type ParamsOf, type QueryOf, type ReplyOf } from '@wax-fist/contract/endpoint';
import type { RefusalAnswer } from '@wax-fist/contract/refusal';

/** A club's server, and who is signed in there. */
export interface Club {
  url: string;
  cookie: string;
}

/** Asks the server something of the contract. @throws Error in words for the person */
export async function askClub<E extends Endpoint>(
  { url, cookie }: Club,
  endpoint: E,
  params: ParamsOf<E>,
  { body, query }: { body?: BodyOf<E>; query?: Partial<QueryOf<E>> } = {},
): Promise<ReplyOf<E>> {
  const path = filledPath(endpoint.path, params, query);
  const response = await request(url, endpoint, path, body, cookie);
  return (endpoint.reply ? await response.json() : undefined) as ReplyOf<E>;
}

async function request(url: string, endpoint: Endpoint, path: string, body: unknown, cookie: string) {
  const response = await fetch(new URL(path, url), {
    method: endpoint.method,
    headers: { 'Content-Type': 'application/json', ...(cookie && { Cookie: cookie }) },
    body: body === undefined ? undefined : JSON.stringify(body),
  }).catch(() => {
    throw new Error(`No server answers at ${url}. Start it, or set WAX_URL.`);
  });
  if (response.ok) return response;
  const failure = (await response.json().catch(() => undefined)) as RefusalAnswer | undefined;
  throw new Error(failure?.message ?? `The server at ${url} answers with ${response.status}.`);
}

/** Signs in with what stands in the environment. @throws Error in words for the person */
export async function enterClub(environment: NodeJS.ProcessEnv): Promise<Club> {
  const {
    WAX_URL: url = `http://127.0.0.1:${environment.WAX_PORT ?? 4310}`,
    WAX_EMAIL: email,
    WAX_PASSWORD: password,
  } = environment;
  if (!email || !password) throw new Error('Set WAX_EMAIL and WAX_PASSWORD to a coach’s sign-in.');
  const response = await request(url, accountEndpoints.signIn, accountEndpoints.signIn.path, { email, password }, '');
  // The cookie comes first; that one is signed in is written down before the answer has ended.
  await response.arrayBuffer();
  const cookie = response.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
  return { url, cookie };
}
