import { foundNameEndpoints, type FoundNames } from '@wax-fist/contract/found-names';
import { csvOf } from '@wax-fist/core/formats';
import { namesKept, sureAndKept } from '@wax-fist/core/strikes';
import { group, greatest, sort } from 'd3-array';
import type { Router } from 'express';
import { asFile } from '../../http/as-file.ts';
import { serve, serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { namesOfFilms, type NamesOfFilms, type NameSaidIn } from './names-of-films.ts';

const strikeIdOf = ({ said }: NameSaidIn): string | null => (said === 'nothing' ? null : said.id);

function told({ films, said, missed, tagged }: NamesOfFilms): FoundNames {
  return {
    films,
    tagged,
    names: namesKept(said).map(({ otherwise, ...name }) => ({
      ...name,
      otherwise: otherwise.map(({ said: technique, strikes }) => {
        const surest = greatest(strikes, ({ sure }) => sure)!;
        const look = { filmId: surest.filmId, time: surest.time, strikeId: strikeIdOf(surest) };
        return { said: technique, times: strikes.length, look };
      }),
    })),
    sure: sureAndKept(said),
    missed: sort(
      [...group(missed, ({ technique }) => technique)].map(([technique, strikes]) => {
        const { filmId, time, id: strikeId } = strikes[0]!;
        return { technique, times: strikes.length, look: { filmId, time, strikeId } };
      }),
      ({ times }) => -times,
    ),
  };
}

export function foundNameRoutes(router: Router, { db }: Services): void {
  serveKept(router, foundNameEndpoints.foundNames, async () => told(await namesOfFilms(db)));
  serve(router, foundNameEndpoints.changedNames, async ({ response }) => {
    const { said, missed } = await namesOfFilms(db);
    const changed = said.filter((one) => one.said === 'nothing' || one.said.technique !== one.found);
    const rows = [
      ...changed.map((one) => [one.filmId, one.time, one.found, one.sure, one.said === 'nothing' ? '' : one.said.technique]),
      ...missed.map(({ filmId, time, technique }) => [filmId, time, '', '', technique]),
    ];
    asFile(response, 'changed-names.csv', 'text/csv', csvOf(['film', 'time ms', 'found', 'sure', 'said'], rows));
  });
}
