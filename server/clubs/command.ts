import { Command, CommanderError, Option } from 'commander';
import { messageOf } from '@wax-fist/core/message-of';
import { whileConnected, type Connection } from '../db/connection.ts';
import { settingsFrom, type Settings } from '../settings.ts';
import { settingsOfClub } from './club-settings.ts';
import { InstallationProblem, whileInHouse } from './house.ts';
import { addClub, clubAt, inviteHeadCoach, listClubs, removeClub, setClosed } from './register.ts';

/** What bin/clubs runs. */
const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** Does something with the database of the installation. */
async function inHouse(doing: (house: Connection, settings: Settings) => Promise<void>): Promise<void> {
  const settings = settingsFrom(process.env);
  await whileInHouse(settings, (house) => doing(house, settings));
}
/** The same, where there are many clubs. */
const inRegister = (doing: (house: Connection, settings: Settings) => Promise<void>): Promise<void> =>
  inHouse(async (house, settings) => {
    if (!settings.manyClubs) throw new InstallationProblem('This installation is one club: WAX_CLUBS=many makes it one of many.');
    await doing(house, settings);
  });

/** Prints the link by which somebody comes in as head coach. @param host of the club; absent where it is the only one */
async function printInvitation(house: Connection, settings: Settings, person: string, host?: string): Promise<void> {
  const scheme = settings.secureCookie ? 'https' : 'http';
  const at = settings.secureCookie ? (host ?? 'the address of the club') : `${host ?? settings.host}:${settings.port}`;
  const into = host === undefined ? settings : settingsOfClub(settings, await clubAt(house.db, host));
  const code = await whileConnected(into.databaseUrl, ({ db }) => inviteHeadCoach(db, person));
  say(`${person} comes in by this link, once, within seven days:`);
  say(`${scheme}://${at}/join/${code}`);
}

const program = new Command('bin/clubs')
  .description('The clubs of an installation, and the first head coach of each.')
  .exitOverride()
  .showHelpAfterError('(--help tells more)');

program
  .command('invite <person>')
  .description('Prints a link by which a person comes in as head coach: the first one, or when no head coach gets in any more.')
  .option('--club <host>', 'where there are many clubs: into which')
  .action((person: string, { club }: { club?: string }) =>
    inHouse(async (house, settings) => {
      if (settings.manyClubs && club === undefined) throw new InstallationProblem('Into which club? --club names its host.');
      await printInvitation(house, settings, person, club);
    }),
  );
program
  .command('add <name>')
  .description(
    'Adds a club, with a database and a place for films that no other club reaches; servers and workers open it in seconds.',
  )
  .requiredOption('--host <host>', 'the host name by which browsers reach it')
  .option('--head-coach <person>', 'who leads it; a link to come in is printed')
  .option('--empty', 'closed, and without anything in it: for bin/restore')
  .action((called: string, { host, headCoach, empty }: { host: string; headCoach?: string; empty?: true }) =>
    inRegister(async (house, settings) => {
      if ((headCoach === undefined) === (empty === undefined))
        throw new InstallationProblem('Either --head-coach says who leads it, or --empty leaves it to a backup.');
      const added = await addClub(house, settings, { called, host, empty });
      say(`${added.name} is there, at ${added.host}${empty ? ', closed and empty' : ''}.`);
      if (headCoach !== undefined) await printInvitation(house, settings, headCoach, added.host);
    }),
  );
program
  .command('list')
  .description('All clubs: host, since when, whether it is open, name.')
  .action(() =>
    inRegister(async ({ db }) => {
      const all = await listClubs(db);
      for (const { host, name, addedAt, closed } of all)
        say([host, addedAt.toISOString().slice(0, 10), closed ? 'closed' : 'open', name].join('\t'));
      if (all.length === 0) say('There is no club yet: bin/clubs add --help');
    }),
  );
program
  .command('close <host>')
  .description('Closes a club: nobody gets in, no worker works for it, and nothing of it is lost.')
  .action((host: string) =>
    inRegister(async ({ db }) => {
      await setClosed(db, host, true);
      say(`${host} is closed.`);
    }),
  );
program
  .command('open <host>')
  .description('Opens a club that was closed.')
  .action((host: string) =>
    inRegister(async ({ db }) => {
      await setClosed(db, host, false);
      say(`${host} is open.`);
    }),
  );
program
  .command('remove <host>')
  .description('Removes a club that is closed, with all films and everything that was ever said there. It cannot be taken back.')
  .addOption(new Option('--for-good', 'that this is meant').makeOptionMandatory())
  .action((host: string) =>
    inRegister(async (house, settings) => {
      await removeClub(house, settings, host);
      say(`${host} is gone.`);
    }),
  );

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) process.exit(error.exitCode === 0 ? 0 : 2);
  process.stderr.write(`${messageOf(error)}\n`);
  if (!(error instanceof InstallationProblem) && process.env.WAX_LOG === 'debug') throw error;
  process.exit(1);
}
