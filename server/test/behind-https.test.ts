import { accountEndpoints } from '@wax-fist/contract/accounts';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { v7 as uuid } from 'uuid';
import { password, startServer, type ServerUnderTest } from './server-under-test.ts';

describe('behind https', () => {
  let server: ServerUnderTest;
  let folder: string;
  let proxy: ChildProcess;
  let port: number;
  let authority: Buffer;
  before(async () => {
    server = await startServer({ works: false, environment: { WAX_SECURE_COOKIE: '1', WAX_TRUST_PROXY: '1' } });
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-https-'));
    const [key, certificate] = ['key.pem', 'certificate.pem'].map((name) => join(folder, name)) as [string, string];
    const wish = [
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=localhost',
      '-addext',
      'subjectAltName=DNS:localhost',
    ];
    await promisify(execFile)('openssl', ['req', '-x509', ...wish, '-keyout', key, '-out', certificate]);
    authority = await readFile(certificate);
    const words = [join(import.meta.dirname, 'tls-proxy.js'), new URL(server.base).port, key, certificate];
    proxy = spawn(process.execPath, words, { stdio: ['ignore', 'pipe', 'inherit'] });
    const [said] = (await once(proxy.stdout!, 'data')) as [Buffer];
    port = Number(said.toString());
  });
  after(async () => {
    proxy.kill();
    await server.stop();
    await rm(folder, { recursive: true });
  });

  const ask = (method: string, path: string, body?: unknown, cookie = '') =>
    new Promise<{ status: number; cookie: string; text: string }>((resolve, reject) => {
      const headers = { 'content-type': 'application/json', origin: `https://localhost:${port}`, ...(cookie && { cookie }) };
      const asking = request({ host: 'localhost', port, path, method, headers, ca: authority }, (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () =>
          resolve({ status: response.statusCode!, cookie: response.headers['set-cookie']?.[0] ?? '', text }),
        );
      });
      asking.on('error', reject);
      asking.end(body === undefined ? undefined : JSON.stringify(body));
    });

  it('one signs in with a cookie for https only, and everything works with it', async () => {
    const signedIn = await ask('POST', accountEndpoints.signIn.path, { email: 'coach@club.example', password });
    expect(signedIn.status, signedIn.text).to.equal(200);
    expect(signedIn.cookie).to.match(/Secure/);
    const cookie = signedIn.cookie.split(';')[0]!;
    expect((await ask('GET', traineeEndpoints.listTrainees.path, undefined, cookie)).status).to.equal(200);
    const id = uuid();
    const body = { id, name: 'Somebody', stance: 'orthodox', grade: 'beginner', note: '' };
    const saved = await ask('PUT', traineeEndpoints.saveTrainee.path.replace(':traineeId', id), body, cookie);
    expect(saved.status, saved.text).to.equal(200);
  });

  it('over plain http no such cookie is given', async () => {
    const answer = await server.visitor().ask(accountEndpoints.signIn, {}, { email: 'coach@club.example', password });
    expect(answer.headers.get('set-cookie')).to.equal(null);
  });
});
