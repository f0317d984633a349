import { footageEndpoints } from '@wax-fist/contract/footage';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { once } from 'node:events';
import express from 'express';
import { filmStep } from '../db/schema/index.ts';
import { addScene, startServer, type ServerUnderTest } from '../test/server-under-test.ts';
import { registryOf, serveMetrics } from './serve-metrics.ts';
import { watchClubs, watchRequests } from './watch-server.ts';
import { watchSteps } from './watch-worker.ts';

/** A line of the text form of Prometheus: a name, labels, a number; or what is said of a name. */
const line = /^(# (HELP|TYPE) [a-z_0-9]+ .+|[a-z_0-9]+(\{([a-z_]+="[^"\n]*",?)*\})? (-?[\d.e+-]+|nan|\+inf))$/i;

describe('what is counted', () => {
  let server: ServerUnderTest;
  const open: Server[] = [];
  before(async () => (server = await startServer({ works: false })));
  after(async () => {
    for (const one of open) one.close();
    await server.stop();
  });

  async function served(registry: ReturnType<typeof registryOf>): Promise<string> {
    const listening = serveMetrics(registry, { port: 0, host: '127.0.0.1' }, server.services.log);
    open.push(listening);
    await once(listening, 'listening');
    return `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
  }
  const told = async (base: string): Promise<string> => (await fetch(`${base}/metrics`)).text();

  it('is text that Prometheus reads, about the process and the club, and answers nothing else', async () => {
    const { filmId } = await addScene(server);
    await server.services.db.insert(filmStep).values({ filmId, step: 'hits', state: 'failed' });
    const registry = registryOf('server');
    watchClubs(registry, () => [{ ...server.services, answers: { kept: 7, made: 3 } }]);
    const base = await served(registry);
    const answer = await fetch(`${base}/metrics`);
    expect(answer.headers.get('content-type')).to.include('text/plain; version=0.0.4');
    const text = await answer.text();
    for (const one of text.trim().split('\n')) if (one) expect(one).to.match(line);
    expect(text).to.include('wax_import_steps{step="hits",state="failed",part="server"} 1');
    expect(text).to.include('wax_import_steps{step="pose",state="working",part="server"} 0');
    expect(text).to.include('wax_answers_total{how="kept",part="server"} 7');
    expect(text).to.match(/wax_database_connections\{state="idle",part="server"\} [1-9]/);
    expect(text).to.match(/wax_process_resident_memory_bytes\{part="server"\} \d{7,}/);
    expect((await fetch(`${base}/`)).status).to.equal(404);
    expect((await fetch(`${base}/metrics`, { method: 'POST' })).status).to.equal(404);
  });

  it('of requests names patterns of addresses, and neither films nor people', async () => {
    const registry = registryOf('server');
    const app = express();
    app.use(watchRequests(registry));
    app.get(traineeEndpoints.listTrainees.path, (_request, response) => void response.json([]));
    app.get(footageEndpoints.showFilm.path, (_request, response) => void response.status(404).end());
    const listening = app.listen(0, '127.0.0.1');
    open.push(listening);
    await once(listening, 'listening');
    const base = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
    for (const path of ['/api/trainees', '/api/trainees', '/api/films/somebody', '/nowhere/ada'])
      await (await fetch(base + path)).text();
    const text = await told(await served(registry));
    const counts = (route: string, status: number): string =>
      `wax_http_request_duration_seconds_count{part="server",method="GET",route="${route}",status="${status}"}`;
    expect(text).to.include(`${counts('/api/trainees', 200)} 2`);
    expect(text).to.include(`${counts('/api/films/:filmId', 404)} 1`);
    expect(text).to.include(`${counts('other', 404)} 1`);
    expect(text).to.not.include('somebody').and.not.include('ada');
  });

  it('of a worker says how long steps took and how they ended', async () => {
    const registry = registryOf('worker');
    const ended = watchSteps(registry);
    ended('pose', 'done', 12);
    ended('pose', 'failed', 1);
    const text = await told(await served(registry));
    expect(text).to.match(/wax_import_step_duration_seconds_sum\{[^}]*step="pose",end="done"[^}]*\} 12/);
    expect(text).to.match(/wax_import_step_duration_seconds_bucket\{[^}]*le="15"[^}]*step="pose",end="done"[^}]*\} 1/);
  });
});
