import { archiveEndpoints } from '@wax-fist/contract/archives';
import { filledPath } from '@wax-fist/contract/endpoint';
import { filmExportUrl, traineeExportUrl, type FilmExport, type TraineeExport } from '@wax-fist/contract/exports';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { Command, Option } from 'commander';
import { mkdir } from 'node:fs/promises';
import { join, parse } from 'node:path';
import { v7 as uuid } from 'uuid';
import { askClub, enterClub, type Club } from '../club.ts';
import { fetchFile } from '../fetch-file.ts';
import { percent, reporter } from '../report-line.ts';
import { sessionOf, traineeOf } from '../find-session.ts';
import { waitForArchive } from '../wait-for-archive.ts';

/** What a trainee's files are, by format. */
const ofTrainee: Readonly<Record<string, TraineeExport>> = {
  csv: 'strikes.csv',
  rates: 'rates.csv',
  jsonld: 'verdicts.jsonld',
  ics: 'rechecks.ics',
};
/** What stands beside each film of a session. */
const ofFilm: Readonly<Record<string, FilmExport>> = {
  vtt: 'strikes.vtt',
  chapters: 'rounds.vtt',
  srt: 'strikes.srt',
  points: 'points.json',
  c3d: 'points.c3d',
};

interface Wish {
  trainee?: string;
  session?: string;
  club?: boolean;
  format: string;
  out: string;
}

async function exportArchive(club: Club, { trainee, out }: Wish): Promise<void> {
  const id = uuid();
  const traineeId = trainee === undefined ? null : (await traineeOf(club, trainee)).id;
  await askClub(club, archiveEndpoints.makeArchive, {}, { body: { id, traineeId } });
  await waitForArchive(club, id, 'made');
  const report = reporter(out);
  const path = filledPath(archiveEndpoints.archiveFile.path, { archiveId: id });
  await fetchFile(club, path, out, (bytes, all) => report(all ? percent(bytes / all) : `${bytes} bytes`));
  // It is with the one who asked; the server need not keep it.
  await askClub(club, archiveEndpoints.removeArchive, { archiveId: id });
  process.stdout.write(`${out}\n`);
}

/** What two files of a film with the same ending are told apart by. */
const besides: Partial<Record<FilmExport, string>> = { 'rounds.vtt': '.chapters', 'points.json': '.points' };

/** One file for each film of a session, in a folder. */
async function exportFilms(club: Club, { trainee, session, format, out }: Wish): Promise<void> {
  if (session === undefined) throw new Error(`--format ${format} is of the films of a session: say which one with --session.`);
  const { id } = await sessionOf(club, (await traineeOf(club, trainee!)).id, session);
  const { films } = await askClub(club, sessionEndpoints.showSession, { sessionId: id });
  const ready = films.filter(({ state }) => state === 'ready');
  if (ready.length === 0) throw new Error('This session has no film that can be reviewed.');
  await mkdir(out, { recursive: true });
  const file = ofFilm[format]!;
  for (const film of ready) {
    // Beside the film under its own name, as players look for it.
    const path = join(out, `${parse(film.fileName).name}${besides[file] ?? ''}${parse(file).ext}`);
    await fetchFile(club, filmExportUrl(film.id, file), path);
    process.stdout.write(`${path}\n`);
  }
}

export const exportCommand = (): Command =>
  new Command('export')
    .description('Take along what is marked, in open formats.')
    .option('--trainee <name or id>', 'whose')
    .option('--session <day or id>', 'for what stands beside films: of which session')
    .option('--club', 'the whole club (archive only)')
    .addOption(
      new Option('--format <format>', 'what')
        .choices(['archive', ...Object.keys(ofTrainee), ...Object.keys(ofFilm)])
        .makeOptionMandatory(),
    )
    .requiredOption('--out <path>', 'the file; for what stands beside films, the folder')
    .addHelpText(
      'after',
      '\nvtt, chapters, srt, points: beside each film of a session. csv: strikes with verdicts and measures; rates: by session; jsonld: web annotations; ics: days to look again. archive: everything, with films.\nSign-in: WAX_EMAIL and WAX_PASSWORD. Server: WAX_URL, or WAX_PORT on this computer.',
    )
    .action(async (wish: Wish) => {
      if (wish.trainee === undefined && !(wish.club && wish.format === 'archive'))
        throw new Error('Say whose with --trainee, or --club for an archive of everybody.');
      const club = await enterClub(process.env);
      if (wish.format === 'archive') return exportArchive(club, wish);
      if (wish.format in ofFilm) return exportFilms(club, wish);
      const { id } = await traineeOf(club, wish.trainee!);
      await fetchFile(club, traineeExportUrl(id, ofTrainee[wish.format]!), wish.out);
      process.stdout.write(`${wish.out}\n`);
    });
