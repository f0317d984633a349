import { messageOf } from '@wax-fist/core/message-of';
import { Command, CommanderError } from 'commander';
import { alignCommand } from './commands/align.ts';
import { callCommand } from './commands/call.ts';
import { checklistCommand } from './commands/checklist.ts';
import { hitsCommand } from './commands/hits.ts';
import { importCommand } from './commands/import.ts';
import { matchCommand } from './commands/match.ts';
import { timelineCommand } from './commands/timeline.ts';

const program = new Command('bin/wax')
  .description('Wax Fist at the command line, for scripts and batches.')
  .addHelpText(
    'after',
    '\nResults go to standard output, everything else to standard error.\nExit codes: 0 done, 1 it failed, 2 the command was not understood.',
  )
  .exitOverride()
  .showHelpAfterError('(--help tells more)');
for (const command of [
  importCommand(),
  hitsCommand(),
  timelineCommand(),
  alignCommand(),
  callCommand(),
  checklistCommand(),
  matchCommand(),
])
  program.addCommand(command.copyInheritedSettings(program));

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) process.exit(error.exitCode === 0 ? 0 : 2);
  process.stderr.write(`${messageOf(error)}\n`);
  process.exit(1);
}
