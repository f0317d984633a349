import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { rungName } from '@wax-fist/core/correction';
import { roundKinds, type RoundKind } from '@wax-fist/core/rounds';
import { views, type View } from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { basename, resolve } from 'node:path';
import { probe } from '../../server/media/probe.ts';
import { sha256Of } from '../../server/storage/storage.ts';
import { askClub, enterClub, type Club } from '../club.ts';
import { findSession } from '../find-session.ts';
import { percent, reporter } from '../report-line.ts';
import { sendFilm } from '../send-film.ts';

const rungs = [1, 2, 3, 4, 5, 6, 7] as const;

interface Wish {
  trainee: string;
  session?: string;
  view: View;
  kind: RoundKind;
  rung: string;
  again?: boolean;
  wait: boolean;
}

/** Waits until a film can be reviewed. @throws Error with the reason when it cannot be */
async function readyForReview(club: Club, film: Film, report: (what: string) => void): Promise<void> {
  for (let now = film; now.state !== 'ready';) {
    if (now.state === 'failed' || now.state === 'stopped') throw new Error(now.remark ?? 'The import was stopped.');
    const step = now.steps.find(({ state }) => state === 'working');
    report(step ? `${step.step} ${percent(step.progress)}` : 'waits its turn');
    await new Promise((done) => setTimeout(done, 500));
    now = await askClub(club, footageEndpoints.showFilm, { filmId: film.id });
  }
}

async function importOne(club: Club, sessionId: string, path: string, { view, again, wait }: Wish): Promise<void> {
  const report = reporter(basename(path));
  const sha256 = await sha256Of(path);
  const known = again ? [] : await askClub(club, footageEndpoints.filmsKnownBy, { sha256 });
  if (known.length > 0) {
    const { traineeName, heldOn, view: seen } = known[0]!;
    report(`is here already (${traineeName}, ${heldOn}, ${seen}); --again sends it all the same`);
    process.stdout.write(`${known[0]!.filmId}\t${path}\n`);
  } else {
    const film = await sendFilm(club, { path, sessionId, view, sha256, progress: (share) => report(`sent ${percent(share)}`) });
    if (wait) await readyForReview(club, film, report);
    report(wait ? 'can be reviewed' : 'is with the server');
    process.stdout.write(`${film.id}\t${path}\n`);
  }
  if (process.stderr.isTTY) process.stderr.write('\n');
}

export const importCommand = (): Command =>
  new Command('import')
    .description('Send films to a club’s server. What was half sent goes on where it stopped.')
    .argument('<files...>', 'films, as they come from the camera')
    .requiredOption('--trainee <name or id>', 'whose films they are')
    .option('--session <day or id>', 'the session; one is made where that day has none (default: today)')
    .addOption(new Option('--view <view>', 'from where they were filmed').choices(views).default('lead-side'))
    .addOption(new Option('--kind <kind>', 'what was hit, for a session that is made').choices(roundKinds).default('heavy bag'))
    .addOption(
      new Option(
        '--rung <rung>',
        `of the ladder, for a session that is made (${rungs.map((rung) => `${rung} ${rungName(rung)}`).join(', ')})`,
      )
        .choices(rungs.map(String))
        .default('1'),
    )
    .option('--again', 'send also what is here already')
    .option('--no-wait', 'do not wait until they can be reviewed')
    .addHelpText(
      'after',
      '\nSign-in: WAX_EMAIL and WAX_PASSWORD. Server: WAX_URL, or WAX_PORT on this computer.\nPrints the id of each film, a tab, and its path. Film only who has agreed; for a child, a parent has to.',
    )
    .action(async (files: string[], wish: Wish) => {
      const failures: string[] = [];
      // One broken file does not hold the others up.
      const orTell = (file: string, doing: Promise<void>): Promise<void> =>
        doing.catch((error: unknown) => void failures.push(`${file}: ${messageOf(error)}`));
      const club = await enterClub(process.env);
      const films: string[] = [];
      for (const file of files)
        await orTell(
          file,
          probe(resolve(file)).then(() => void films.push(file)),
        );
      if (films.length > 0) {
        const session = await findSession(club, { ...wish, rung: Number(wish.rung) });
        process.stderr.write(`To ${session.traineeName}, ${session.heldOn}\n`);
        for (const film of films) await orTell(film, importOne(club, session.id, resolve(film), wish));
      }
      if (failures.length > 0) throw new Error(failures.join('\n'));
    });
