import express, { type Router } from 'express';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import helmet from 'helmet';
import { notFound } from './refusal.ts';

declare module 'express-serve-static-core' {
  interface Locals {
    nonce: string;
  }
}

/** Stands in the built page where each answer puts its own nonce. */
const noncePlace = 'nonce-of-this-answer';

/** Only our own scripts, styles, pictures and films; nothing inline without this answer's nonce, no framing. */
export function strictHeaders(router: Router): void {
  router.use((_request, response, next) => {
    response.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  router.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: [
            "'self'",
            (_request, response) => `'nonce-${(response as unknown as { locals: { nonce: string } }).locals.nonce}'`,
          ],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // The club's server may stand behind plain http on its own network; whoever ends https in front of it sets this.
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
    }),
  );
}

/** The built web application, with every address that is not a file answered by its one page. */
export function pages(router: Router, folder: string): void {
  const index = join(folder, 'index.html');
  const page = existsSync(index) ? readFileSync(index, 'utf8') : undefined;
  router.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  router.use(express.static(folder, { index: false }));
  router.get('/{*address}', (request, response) => {
    if (!page || request.path.startsWith('/api/')) throw notFound('page');
    response.set('Cache-Control', 'no-cache').type('html').send(page.replaceAll(noncePlace, response.locals.nonce));
  });
}
