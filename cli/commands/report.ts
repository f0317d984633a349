import { cardEndpoints } from '@wax-fist/contract/cards';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { filledPath } from '@wax-fist/contract/endpoint';
import { papers, reportEndpoints, type Paper } from '@wax-fist/contract/reports';
import { Command, Option } from 'commander';
import { askClub, enterClub } from '../club.ts';
import { fetchFile } from '../fetch-file.ts';
import { sessionOf, traineeOf } from '../find-session.ts';

interface Wish {
  trainee: string;
  session?: string;
  from?: string;
  to?: string;
  cards?: boolean;
  paper: Paper;
  out: string;
}

export const reportCommand = (): Command =>
  new Command('report')
    .description('A report as a PDF: of a session, of some weeks, or the cards of a trainee.')
    .requiredOption('--trainee <name or id>', 'whose')
    .option('--session <day or id>', 'of this session')
    .option('--from <day>', 'of the weeks from this day')
    .option('--to <day>', 'to this day')
    .option('--cards', 'a card for every open correction')
    .addOption(new Option('--paper <paper>', 'for which paper').choices(papers).default('a4'))
    .requiredOption('--out <file>', 'the PDF')
    .addHelpText('after', '\nSign-in: WAX_EMAIL and WAX_PASSWORD. Server: WAX_URL, or WAX_PORT on this computer.')
    .action(async ({ trainee, session, from, to, cards, paper, out }: Wish) => {
      const wishes = [session !== undefined, from !== undefined && to !== undefined, cards === true].filter(Boolean);
      if (wishes.length !== 1) throw new Error('Say of what: --session, or --from and --to, or --cards.');
      const club = await enterClub(process.env);
      const { id: traineeId } = await traineeOf(club, trainee);
      const pathOf = async (): Promise<string> => {
        if (session !== undefined) {
          const { id } = await sessionOf(club, traineeId, session);
          return filledPath(reportEndpoints.sessionReportsPdf.path, {}, { of: id, paper });
        }
        if (!cards) return filledPath(reportEndpoints.blockReportPdf.path, { traineeId }, { from, to, paper });
        const { rows } = await askClub(club, correctionEndpoints.traineeCorrections, { traineeId }, { query: { state: 'open' } });
        if (rows.length === 0) throw new Error('No correction is open.');
        return filledPath(cardEndpoints.cardsPdf.path, {}, { of: rows.map(({ id }) => id).join(','), paper });
      };
      await fetchFile(club, await pathOf(), out);
      process.stdout.write(`${out}\n`);
    });
