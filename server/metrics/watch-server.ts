import { importSteps } from '@wax-fist/contract/footage';
import { count, inArray } from 'drizzle-orm';
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

/** A club as far as it is counted. */
export interface CountedClub extends Pick<Connection, 'db' | 'pool'> {
  answers: { kept: number; made: number };
}

/** What is asked for when somebody looks: connections, answers that were kept, and how far imports are, of all clubs together. */
export function watchClubs(registry: Registry, clubs: () => readonly CountedClub[]): void {
  const registers = [registry];
  const sumOf = (count: (club: CountedClub) => number): number => clubs().reduce((sum, club) => sum + count(club), 0);
  new Gauge({
    name: 'wax_clubs',
    help: 'Clubs that are open here.',
    registers,
    collect() {
      this.set(clubs().length);
    },
  });
  new Gauge({
    name: 'wax_database_connections',
    help: 'Connections of this process to the database, and requests that wait for one.',
    labelNames: ['state'],
    registers,
    collect() {
      this.set(
        { state: 'idle' },
        sumOf(({ pool }) => pool.idleCount),
      );
      this.set(
        { state: 'busy' },
        sumOf(({ pool }) => pool.totalCount - pool.idleCount),
      );
      this.set(
        { state: 'waited for' },
        sumOf(({ pool }) => pool.waitingCount),
      );
    },
  });
  new Counter({
    name: 'wax_answers_total',
    help: 'Answers that follow from the database alone: sent as they were kept, or made.',
    labelNames: ['how'],
    registers,
    collect() {
      this.reset();
      this.inc(
        { how: 'kept' },
        sumOf(({ answers }) => answers.kept),
      );
      this.inc(
        { how: 'made' },
        sumOf(({ answers }) => answers.made),
      );
    },
  });
  new Gauge({
    name: 'wax_import_steps',
    help: 'Steps of imports that are not done, by step and state.',
    labelNames: ['step', 'state'],
    registers,
    async collect() {
      for (const step of importSteps) for (const state of unsettled) this.set({ step, state }, 0);
      for (const { db } of clubs()) {
        const rows = await db
          .select({ step: filmStep.step, state: filmStep.state, films: count() })
          .from(filmStep)
          .where(inArray(filmStep.state, unsettled))
          .groupBy(filmStep.step, filmStep.state);
        for (const { step, state, films } of rows) this.inc({ step, state }, films);
      }
    },
  });
}
