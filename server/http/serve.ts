import type { BodyOf, Endpoint, ParamsOf, QueryOf, ReplyOf } from '@wax-fist/contract/endpoint';
import type { Router } from 'express';
import { type Request, type Response } from 'express';
import { ValidationError, type InferType, type Schema } from 'yup';
import { validate as isUuid } from 'uuid';
import { onBehalfOf } from '../db/on-behalf.ts';
import { noteSeen } from '../features/journal/seen.ts';
import { requireScope } from './scope.ts';
import type { SignedIn } from './sign-in.ts';
import { declaredOf } from './declared.ts';
import { sendKept } from './kept-answers.ts';
import { inMannerOf } from './manner-of.ts';
import { notFound, Refusal } from './refusal.ts';

/** What a handler gets: checked parameters, a checked body, and who asks (absent only where anyone may). */
export interface CheckedRequest<E extends Endpoint> {
  params: ParamsOf<E>;
  query: QueryOf<E>;
  body: BodyOf<E>;
  account: SignedIn;
  request: Request;
  response: Response;
}

/** What a handler may hand over: it is written out at once, so it need not be its own to change. */
type ReadonlyDeep<T> = T extends object ? { readonly [Key in keyof T]: ReadonlyDeep<T[Key]> } : T;
type Reply<E extends Endpoint> = ReadonlyDeep<ReplyOf<E>>;
type Answer<E extends Endpoint> = E['reply'] extends Schema ? Reply<E> | Promise<Reply<E>> : void | Promise<void>;
export type Handler<E extends Endpoint> = (asked: CheckedRequest<E>) => Answer<E>;

/** Checks what was sent against its shape; throws a refusal that names every field at fault. */
async function checked<Shape extends Schema | undefined>(
  shape: Shape,
  sent: unknown,
): Promise<Shape extends Schema ? InferType<Shape> : undefined> {
  type Checked = Shape extends Schema ? InferType<Shape> : undefined;
  if (!shape) return undefined as Checked;
  try {
    return (await shape.validate(sent, { abortEarly: false, stripUnknown: true })) as Checked;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const fields = (error.inner.length > 0 ? error.inner : [error]).map(({ path, message }) => ({ field: path ?? '', message }));
    throw new Refusal(422, fields[0]?.message ?? 'Something in this form is not right.', fields);
  }
}

/** Puts one endpoint of the contract on the router: who may, which shape, and what it does. */
export const serve = <E extends Endpoint>(router: Router, endpoint: E, handler: Handler<E>): void =>
  put(router, endpoint, handler, false);

/** The same for an answer that follows from what the database holds, and from nothing else: it is kept until something is written. */
export const serveKept = <E extends Endpoint>(router: Router, endpoint: E, handler: Handler<E>): void =>
  put(router, endpoint, handler, true);

function put<E extends Endpoint>(router: Router, endpoint: E, handler: Handler<E>, fromRecords: boolean): void {
  const declared = endpoint.reply && declaredOf(endpoint.reply);
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
  router[method](endpoint.path, requireScope(endpoint.allowed, endpoint.path), (request, response) => {
    // Health is asked before there are sessions, so that it answers without a database.
    const account = (request.session as Request['session'] | undefined)?.account ?? undefined;
    return account ? inMannerOf(account.manner, () => answer(request, response, account)) : answer(request, response);
  });
  async function answer(request: Request, response: Response, account?: SignedIn): Promise<void> {
    for (const [name, value] of Object.entries(request.params))
      if (name.endsWith('Id') ? !isUuid(value) : String(value).includes('\0')) throw notFound(name.replace(/Id$/, ''));
    if (endpoint.costly && account) await request.app.locals.limits.countCostly(account.id, response);
    const asked = {
      params: request.params as ParamsOf<E>,
      query: (await checked(endpoint.query, request.query)) as QueryOf<E>,
      body: (await checked(endpoint.body, request.body)) as BodyOf<E>,
      account: account as SignedIn,
      request,
      response,
    };
    const seen = async (): Promise<void> => {
      const { sees } = endpoint;
      if (sees) await noteSeen(request.app.locals.db, account?.id ?? null, sees, String(request.params[sees.by]));
    };
    const answered = (): Promise<unknown> => Promise.resolve(handler(asked));
    const answering = (): Promise<unknown> => (account ? onBehalfOf(account.id, answered) : answered());
    if (fromRecords && declared) {
      const kept = await request.app.locals.kept.answerTo(request, async () => declared(await answering()));
      await seen();
      return sendKept(response, kept);
    }
    // Bytes are on their way before the handler is back.
    if (!declared) await seen();
    const reply = await answering();
    if (declared) await seen();
    if (response.headersSent || response.writableEnded) return;
    if (declared) response.json(declared(reply));
    else response.status(204).end();
  }
}

/** What is put at an address has to carry the id of that address. */
export function sameId(inPath: string, inBody: string): void {
  if (inPath !== inBody)
    throw new Refusal(422, 'The address names another id than the content.', [
      { field: 'id', message: 'Not the id of the address.' },
    ]);
}
