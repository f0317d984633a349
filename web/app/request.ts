import { filledPath, type BodyOf, type Endpoint, type ParamsOf, type QueryOf, type ReplyOf } from '@wax-fist/contract/endpoint';
import type { RefusalAnswer } from '@wax-fist/contract/refusal';
import { appWords as words } from './words.ts';

/** Refusals that say nothing of what was asked: signed out, too slow, too many at once. */
const notNow = [401, 408, 429];

/** The server refused, and says why in words for the person. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly failure: RefusalAnswer,
  ) {
    super(failure.message);
  }
  /** Whether the same will be refused whenever it is asked again. */
  get isForGood(): boolean {
    return this.status < 500 && !notNow.includes(this.status);
  }
}

/** The server could not be reached. */
export class Unreachable extends Error {
  constructor() {
    super(words.theServerCannotBeReached);
  }
}

let signedOut = (): void => undefined;
/** What happens when the server no longer knows who is asking. */
export const whenSignedOut = (act: () => void): void => void (signedOut = act);

let signIns = 0;
/** Somebody has signed in: what was asked before, and is refused only now, signs nobody out again. */
export const signedInAnew = (): void => {
  signIns++;
};

type Words<E extends Endpoint> = (keyof ParamsOf<E> extends never ? unknown : { params: ParamsOf<E> }) &
  (QueryOf<E> extends undefined ? unknown : { query?: Partial<QueryOf<E>> }) &
  (BodyOf<E> extends undefined ? unknown : { body: BodyOf<E> });

/** Asks the server something of the contract. @throws Refused, Unreachable */
export async function request<E extends Endpoint>(
  endpoint: E,
  ...[words]: unknown extends Words<E> ? [] : object extends Words<E> ? [Words<E>?] : [Words<E>]
): Promise<ReplyOf<E>> {
  const asOf = signIns;
  const { params, query, body } = (words ?? {}) as {
    params?: Record<string, string>;
    query?: Record<string, string | undefined>;
    body?: unknown;
  };
  const response = await fetch(filledPath(endpoint.path, params ?? {}, query), {
    method: endpoint.method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
  }).catch(() => {
    throw new Unreachable();
  });
  if (response.ok) return (endpoint.reply ? await response.json() : undefined) as ReplyOf<E>;
  const failure = (await response.json().catch(() => undefined)) as RefusalAnswer | undefined;
  if (!failure) throw new Unreachable();
  if (response.status === 401 && endpoint.allowed !== 'anyone' && asOf === signIns) signedOut();
  throw new Refused(response.status, failure);
}

/** Bytes of an endpoint without a shape. @throws Refused, Unreachable */
export async function requestBytes(endpoint: Endpoint, params: Record<string, string>): Promise<Uint8Array> {
  const response = await fetch(filledPath(endpoint.path, params)).catch(() => {
    throw new Unreachable();
  });
  if (!response.ok) throw new Refused(response.status, (await response.json()) as RefusalAnswer);
  return new Uint8Array(await response.arrayBuffer());
}
