import { filmPartEndpoints } from '@wax-fist/contract/film-parts';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { cutFilm } from './cut-film.ts';
import { filmTurns } from './film-turns.ts';

export function filmPartRoutes(router: Router, services: Services): void {
  serve(router, filmPartEndpoints.filmTurns, ({ params }) => filmTurns(services, params.filmId));
  serve(router, filmPartEndpoints.cutFilm, ({ params, body, account }) =>
    cutFilm(services, params.filmId, body.parts, account.id),
  );
}
