import { archiveEndpoints, type Archive } from '@wax-fist/contract/archives';
import { counted } from '@wax-fist/core/words';
import { Command } from 'commander';
import { basename, extname, resolve } from 'node:path';
import { v7 as uuid } from 'uuid';
import { askClub, enterClub, type Club } from '../club.ts';
import { readMarks } from '../read-marks.ts';
import { percent, reporter } from '../report-line.ts';
import { sendFile } from '../send-film.ts';
import { waitForArchive } from '../wait-for-archive.ts';

interface Wish {
  film?: string;
  dryRun?: boolean;
  archiveWins?: boolean;
}

const print = ({ reading }: Archive): void => {
  for (const { name, added, changed, same, refused } of reading!.kinds)
    process.stdout.write(`${[name, added, changed, same, refused].join('\t')}\n`);
  for (const note of reading!.notes) process.stderr.write(`${note}\n`);
  for (const { name, key, says } of reading!.reasons) process.stderr.write(`${name} ${key}: ${says}\n`);
};

async function readArchive(club: Club, file: string, { dryRun = false, archiveWins = false }: Wish): Promise<void> {
  const report = reporter(basename(file));
  const { uploadId, forget } = await sendFile(club, resolve(file), (share) => report(`sent ${percent(share)}`));
  const id = uuid();
  await askClub(club, archiveEndpoints.readArchive, {}, { body: { id, uploadId, dryRun, archiveWins } });
  try {
    print(await waitForArchive(club, id, dryRun ? 'looked through' : 'read in'));
  } finally {
    if (!dryRun) await forget();
  }
}

async function readInto(club: Club, file: string, filmId: string, dryRun: boolean): Promise<void> {
  const { strikes, verdicts, problems } = await readMarks(club, file, filmId, dryRun);
  for (const problem of problems) process.stderr.write(`${problem}\n`);
  process.stdout.write(`${counted(strikes, 'strike')}\t${counted(verdicts, 'verdict')}\t${problems.length} not taken\n`);
}

export const readCommand = (): Command =>
  new Command('read')
    .description('Read in an archive, or marks that were made elsewhere (CSV, WebVTT, SubRip, JSON-LD).')
    .argument('<file>', 'the archive (zip), or the file of marks')
    .option('--film <id>', 'for marks: into which film')
    .option('--dry-run', 'only tell what would be added, changed and refused, and why')
    .option('--archive-wins', 'where something is here already and differs, take it from the archive')
    .addHelpText(
      'after',
      '\nPrints, of an archive, a line for each kind of record: name, added, changed, the same, refused.\nSign-in: WAX_EMAIL and WAX_PASSWORD. Server: WAX_URL, or WAX_PORT on this computer.',
    )
    .action(async (file: string, wish: Wish) => {
      const isArchive = extname(file).toLowerCase() === '.zip';
      if (!isArchive && wish.film === undefined) throw new Error('Into which film? Say so with --film.');
      const club = await enterClub(process.env);
      await (isArchive ? readArchive(club, file, wish) : readInto(club, file, wish.film!, wish.dryRun ?? false));
    });
