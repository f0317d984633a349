import { messageOf } from '@wax-fist/core/message-of';
import { Command, CommanderError } from 'commander';

/** Each loads what it needs when it is asked for: most commands answer in a blink, some know a club or a model. */
const commands: Record<string, () => Promise<Command>> = {
  import: async () => (await import('./commands/import.ts')).importCommand(),
  export: async () => (await import('./commands/export.ts')).exportCommand(),
  read: async () => (await import('./commands/read.ts')).readCommand(),
  report: async () => (await import('./commands/report.ts')).reportCommand(),
  hits: async () => (await import('./commands/hits.ts')).hitsCommand(),
  timeline: async () => (await import('./commands/timeline.ts')).timelineCommand(),
  strikes: async () => (await import('./commands/strikes.ts')).strikesCommand(),
  align: async () => (await import('./commands/align.ts')).alignCommand(),
  pose: async () => (await import('./commands/pose.ts')).poseCommand(),
  measure: async () => (await import('./commands/measure.ts')).measureCommand(),
  call: async () => (await import('./commands/call.ts')).callCommand(),
  checklist: async () => (await import('./commands/checklist.ts')).checklistCommand(),
  match: async () => (await import('./commands/match.ts')).matchCommand(),
};

const program = new Command('bin/wax')
  .description('Wax Fist at the command line, for scripts and batches.')
  .addHelpText(
    'after',
    '\nResults go to standard output, everything else to standard error.\nExit codes: 0 done, 1 it failed, 2 the command was not understood.',
  )
  .exitOverride()
  .showHelpAfterError('(--help tells more)');
const asked = commands[process.argv[2] ?? ''];
for (const load of asked ? [asked] : Object.values(commands)) program.addCommand((await load()).copyInheritedSettings(program));

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) process.exit(error.exitCode === 0 ? 0 : 2);
  process.stderr.write(`${messageOf(error)}\n`);
  process.exit(1);
}
