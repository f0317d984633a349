import compression from 'compression';
import express, { Router, type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import { pinoHttp } from 'pino-http';
import type { RefusalAnswer } from '@wax-fist/contract/refusal';
import { accountRoutes } from './features/accounts/routes.ts';
import { archiveRoutes } from './features/archive/routes.ts';
import { alignmentRoutes } from './features/alignments/routes.ts';
import { answerRoutes } from './features/answers/routes.ts';
import { backupRoutes } from './features/backups/routes.ts';
import { callRoutes } from './features/calls/routes.ts';
import { cameraRoutes } from './features/camera/routes.ts';
import { consentRoutes } from './features/consents/routes.ts';
import { cardRoutes } from './features/cards/routes.ts';
import { checklistRoutes } from './features/checklists/routes.ts';
import { compareRoutes } from './features/compare/routes.ts';
import { correctionRoutes } from './features/corrections/routes.ts';
import { exportRoutes } from './features/exports/routes.ts';
import { footageRoutes } from './features/footage/routes.ts';
import { uploadsIn } from './features/footage/uploads.ts';
import { healthRoutes } from './features/health/routes.ts';
import { filmPartRoutes } from './features/film-parts/routes.ts';
import { foundNameRoutes } from './features/found-names/routes.ts';
import { habitRoutes } from './features/habits/routes.ts';
import { measureRoutes } from './features/measures/routes.ts';
import { pointCheckRoutes } from './features/point-checks/routes.ts';
import { removalRoutes } from './features/removals/routes.ts';
import { reportRoutes } from './features/reports/routes.ts';
import { montageRoutes } from './features/montages/routes.ts';
import { noteRoutes } from './features/notes/routes.ts';
import { drillRoutes } from './features/drills/routes.ts';
import { journalRoutes } from './features/journal/routes.ts';
import { limitRoutes } from './features/limits/routes.ts';
import { ownRoutes } from './features/own/routes.ts';
import { peopleRoutes } from './features/people/routes.ts';
import { secondFactorRoutes } from './features/second-factor/routes.ts';
import { planRoutes } from './features/plans/routes.ts';
import { syllabusRoutes } from './features/syllabus/routes.ts';
import { roundRoutes } from './features/rounds/routes.ts';
import { schoolRoutes } from './features/schools/routes.ts';
import { stillRoutes } from './features/stills/routes.ts';
import { reviewRoutes } from './features/review/routes.ts';
import { reviewingRoutes } from './features/reviewing/routes.ts';
import { sessionRoutes } from './features/sessions/routes.ts';
import { todayRoutes } from './features/today/routes.ts';
import { traineeRoutes } from './features/trainees/routes.ts';
import { howHard, KeptAnswers } from './http/kept-answers.ts';
import { pages, strictHeaders } from './http/pages.ts';
import { notFound, Refusal } from './http/refusal.ts';
import { noLimits, requestLimitsIn } from './http/request-limits.ts';
import { knownTrouble } from './http/known-trouble.ts';
import { ownPagesOnly, signInCookies } from './http/sign-in.ts';
import { errorForLog, requestForLog, responseForLog } from './log.ts';
import type { Services } from './services.ts';

/** The whole server, without a port: the tests put it on one of their own. @param watching sees every request before all else */
export function appOf(services: Services, webFolder: string, watching?: RequestHandler): Express {
  const { db, log, pool, settings } = services;
  const uploads = uploadsIn(settings);
  const app = express();
  app.disable('x-powered-by');
  // Answers are not stored by browsers, so nobody asks whether they are still the same.
  app.set('etag', false);
  app.set('trust proxy', settings.trustProxy);
  if (watching) app.use(watching);
  // Where `requireScope` looks up whose something is.
  app.locals.db = db;
  app.locals.kept = new KeptAnswers();
  const limits = settings.limits ? requestLimitsIn(pool) : noLimits;
  app.locals.limits = limits;
  const router = Router();
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: ({ url }) => url === '/api/health' },
      quietReqLogger: true,
      wrapSerializers: false,
      serializers: { req: requestForLog, res: responseForLog, err: errorForLog },
    }),
  );
  strictHeaders(router);
  router.use(compression({ ...howHard.gzip, brotli: howHard.brotli }));
  router.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  healthRoutes(router, services);
  router.use('/api', signInCookies(pool, settings), limits.countAll, ownPagesOnly);
  uploads.mount(router);
  router.use('/api', express.json({ limit: '1mb', reviver: withoutTricks }));
  accountRoutes(router, services);
  peopleRoutes(router, services);
  secondFactorRoutes(router, services);
  ownRoutes(router, services);
  traineeRoutes(router, services);
  checklistRoutes(router, services);
  schoolRoutes(router, services);
  callRoutes(router, services);
  stillRoutes(router, services);
  sessionRoutes(router, services);
  footageRoutes(router, services, uploads);
  roundRoutes(router, services);
  alignmentRoutes(router, services);
  compareRoutes(router, services);
  exportRoutes(router, services);
  reportRoutes(router, services);
  removalRoutes(router, services);
  cardRoutes(router, services);
  archiveRoutes(router, services, uploads);
  backupRoutes(router, services);
  montageRoutes(router, services);
  noteRoutes(router, services);
  drillRoutes(router, services);
  journalRoutes(router, services);
  limitRoutes(router, services);
  planRoutes(router, services);
  consentRoutes(router, services);
  cameraRoutes(router, services);
  syllabusRoutes(router, services);
  reviewRoutes(router, services);
  reviewingRoutes(router, services);
  correctionRoutes(router, services);
  answerRoutes(router, services);
  measureRoutes(router, services);
  filmPartRoutes(router, services);
  foundNameRoutes(router, services);
  habitRoutes(router, services);
  pointCheckRoutes(router, services);
  todayRoutes(router, services);
  router.use('/api', () => {
    throw notFound('address');
  });
  pages(router, webFolder);
  app.use(router);
  app.use(answerFailure);
  void uploads.tidy().catch((error: unknown) => log.warn(error));
  return app;
}

/** Names by which an object would change what it is are no fields of anything here. */
const withoutTricks = (name: string, value: unknown): unknown =>
  name === '__proto__' || name === 'constructor' ? undefined : value;

/** Every failure answers in words; only what we did not expect is logged. */
const answerFailure: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const { status, failure } = told(error);
  if (status >= 500) request.log.error(error);
  response.status(status).json(failure);
};

function told(error: unknown): { status: number; failure: RefusalAnswer } {
  if (error instanceof Refusal) return { status: error.status, failure: { message: error.message, fields: error.fields } };
  const known = knownTrouble(error);
  if (known) return { status: known.status, failure: { message: known.message } };
  const status = (error as { status?: unknown } | undefined)?.status;
  if (status === 413) return { status, failure: { message: 'This is too much at once.' } };
  if (typeof status === 'number' && status < 500) return { status, failure: { message: 'This request cannot be read.' } };
  return { status: 500, failure: { message: 'Something went wrong on the server. Nothing you marked is lost; try again.' } };
}
