import { importSteps } from '@wax-fist/contract/footage';
import { count } from 'drizzle-orm';
import type { Request, RequestHandler } from 'express';
import { Counter, Gauge, Histogram, type Registry } from 'prom-client';
import type { Connection } from '../db/connection.ts';
import { filmStep } from '../db/schema/index.ts';

/** From what nobody notices to what nobody waits for. Seconds. */
const waits = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];
/** States in which a step of an import waits for somebody. */
const unsettled = ['waiting', 'working', 'failed'] as const;

/** A request by the pattern of its address: an address itself names films and people. */
const routeOf = ({ route }: Request): string => (route as { path?: string } | undefined)?.path?.toString() ?? 'other';

/** Counts and times requests. */
export function watchRequests(registry: Registry): RequestHandler {
  const took = new Histogram({
    name: 'wax_http_request_duration_seconds',
    help: 'How long answers took, by the pattern of the address.',
    labelNames: ['method', 'route', 'status'],
    buckets: waits,
    registers: [registry],
  });
  return (request, response, next) => {
    const end = took.startTimer();
    response.once('close', () => end({ method: request.method, route: routeOf(request), status: response.statusCode }));
    next();
  };
}

/** What is asked for when somebody looks: connections, answers that were kept, and how far imports are. */
export function watchClub(
  registry: Registry,
  { db, pool }: Pick<Connection, 'db' | 'pool'>,
  answers: () => { kept: number; made: number },
): void {
  const registers = [registry];
  new Gauge({
    name: 'wax_database_connections',
    help: 'Connections of this process to the database, and requests that wait for one.',
    labelNames: ['state'],
    registers,
    collect() {
      this.set({ state: 'idle' }, pool.idleCount);
      this.set({ state: 'busy' }, pool.totalCount - pool.idleCount);
      this.set({ state: 'waited for' }, pool.waitingCount);
    },
  });
  new Counter({
    name: 'wax_answers_total',
    help: 'Answers that follow from the database alone: sent as they were kept, or made.',
    labelNames: ['how'],
    registers,
    collect() {
      const { kept, made } = answers();
      this.reset();
      this.inc({ how: 'kept' }, kept);
      this.inc({ how: 'made' }, made);
    },
  });
  new Gauge({
    name: 'wax_import_steps',
    help: 'Steps of imports that are not done, by step and state.',
    labelNames: ['step', 'state'],
    registers,
    async collect() {
      for (const step of importSteps) for (const state of unsettled) this.set({ step, state }, 0);
      const rows = await db
        .select({ step: filmStep.step, state: filmStep.state, films: count() })
        .from(filmStep)
        .groupBy(filmStep.step, filmStep.state);
      for (const { step, state, films } of rows) if (unsettled.some((one) => one === state)) this.set({ step, state }, films);
    },
  });
}
