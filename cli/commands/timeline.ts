import { Command } from 'commander';
import { timesOf } from '../media-file.ts';
import { inSeconds, printJson } from '../seconds.ts';

export const timelineCommand = (): Command =>
  new Command('timeline')
    .description('Print when every frame of a film is shown, in seconds from the first one. Needs no server.')
    .argument('<media file>', 'a film')
    .option('--json', 'print one array instead of a line for each frame')
    .action(async (path: string, { json }: { json?: boolean }) => {
      const times = await timesOf(path);
      const seconds = times.map((time) => inSeconds(time - times[0]!));
      if (json) printJson(seconds);
      else process.stdout.write(`${seconds.map((time) => time.toFixed(6)).join('\n')}\n`);
    });
