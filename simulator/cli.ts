import { messageOf } from '@wax-fist/core/message-of';
import { Command, CommanderError } from 'commander';
import { earsCommand } from './ears/ears-command.ts';
import { drawnCommand } from './drawn-strikes.ts';
import { renderCommand } from './render-command.ts';
import { eyesCommand } from './eyes/eyes-command.ts';
import { stillsCommand } from './stills.ts';
import { truthCommand } from './truth-command.ts';

const program = new Command('bin/simulate')
  .description('The simulated trainee: films with their truth, and reference stills.')
  .exitOverride()
  .showHelpAfterError('(--help tells more)');
for (const command of [renderCommand(), truthCommand(), stillsCommand(), drawnCommand(), earsCommand(), eyesCommand()])
  program.addCommand(command.copyInheritedSettings(program));

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) process.exit(error.exitCode === 0 ? 0 : 2);
  process.stderr.write(`${messageOf(error)}\n`);
  process.exit(1);
}
