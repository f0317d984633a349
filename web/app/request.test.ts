import { messageOf } from '@wax-fist/core/message-of';
import type { Endpoint } from '@wax-fist/contract/endpoint';
import { expect } from 'chai';
import { request, signedInAnew, whenSignedOut } from './request.ts';

const endpoint = { method: 'GET', path: '/api/trainees', allowed: ['coach'] } as unknown as Endpoint;

describe('an answer that says that nobody is signed in', () => {
  const usual = globalThis.fetch;
  let answer: () => void;
  let signedOut = 0;
  beforeEach(() => {
    signedOut = 0;
    whenSignedOut(() => signedOut++);
    globalThis.fetch = () =>
      new Promise((resolve) => (answer = () => resolve(Response.json({ message: 'Please sign in.' }, { status: 401 }))));
  });
  after(() => {
    globalThis.fetch = usual;
    whenSignedOut(() => undefined);
  });
  const refused = (asked: Promise<unknown>): Promise<string> => asked.then(() => 'answered', messageOf);

  it('leads to the door', async () => {
    const asked = refused(request(endpoint));
    answer();
    expect(await asked).to.equal('Please sign in.');
    expect(signedOut).to.equal(1);
  });

  it('leads nowhere when it comes late, after somebody has signed in again', async () => {
    const asked = refused(request(endpoint));
    signedInAnew();
    answer();
    expect(await asked).to.equal('Please sign in.');
    expect(signedOut).to.equal(0);
  });
});
