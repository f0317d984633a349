import { coaches, endpoint, filledPath, seen } from './endpoint.ts';

/** A file that is taken along: its name at the end of an address, what it is to people, and its media type. */
interface Export {
  file: string;
  name: string;
  type: string;
}

/** What can be taken along of a film. */
export const filmExports = [
  { file: 'strikes.vtt', name: 'Strikes with verdicts (WebVTT)', type: 'text/vtt' },
  { file: 'rounds.vtt', name: 'Rounds as chapters (WebVTT)', type: 'text/vtt' },
  { file: 'strikes.srt', name: 'Strikes with verdicts (SubRip)', type: 'application/x-subrip' },
  { file: 'points.json', name: 'Points of the body (JSON)', type: 'application/json' },
  { file: 'points.c3d', name: 'Points of the body (C3D)', type: 'application/octet-stream' },
] as const satisfies readonly Export[];
export type FilmExport = (typeof filmExports)[number]['file'];

/** What can be taken along of a trainee. */
export const traineeExports = [
  { file: 'strikes.csv', name: 'Strikes, verdicts and measures (CSV)', type: 'text/csv' },
  { file: 'rates.csv', name: 'Rates by session (CSV)', type: 'text/csv' },
  { file: 'verdicts.jsonld', name: 'Verdicts as web annotations (JSON-LD)', type: 'application/ld+json' },
  { file: 'rechecks.ics', name: 'Days to look again, planned sessions (iCalendar)', type: 'text/calendar' },
] as const satisfies readonly Export[];
export type TraineeExport = (typeof traineeExports)[number]['file'];

/** Open formats out. */
export const exportEndpoints = {
  exportFilm: seen('film', 'filmId', endpoint('GET', '/api/films/:filmId/exports/:file', coaches)),
  exportTrainee: seen('trainee', 'traineeId', endpoint('GET', '/api/trainees/:traineeId/exports/:file', coaches)),
};

/** Where a film's export is. */
export const filmExportUrl = (filmId: string, file: FilmExport): string =>
  filledPath(exportEndpoints.exportFilm.path, { filmId, file });
/** Where a trainee's export is. */
export const traineeExportUrl = (traineeId: string, file: TraineeExport): string =>
  filledPath(exportEndpoints.exportTrainee.path, { traineeId, file });
