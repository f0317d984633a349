import { alignSounds } from '@wax-fist/core/sound';
import { Command } from 'commander';
import { soundOf } from '../media-file.ts';
import { inSeconds, printJson, rounded } from '../seconds.ts';

export const alignCommand = (): Command =>
  new Command('align')
    .description('Tie two films of the same round together by their sound. Needs no server.')
    .argument('<a>', 'a film, or a sound')
    .argument('<b>', 'another one of the same round')
    .option('--json', 'print {"offset", "drift", "fit"}')
    .addHelpText(
      'after',
      '\ntime in b = time in a × (1 + drift) + offset, both in seconds from the first frame.\nfit: 0 to 1, how well the sounds agree.',
    )
    .action(async (a: string, b: string, { json }: { json?: boolean }) => {
      const [one, other] = [await soundOf(a), await soundOf(b)];
      const found = alignSounds(one.samples, other.samples, one.sampleRate);
      if (!found) throw new Error('The two sound too different to be of the same round.');
      const answer = { offset: inSeconds(found.offset), drift: rounded(found.drift, 9), fit: rounded(found.fit, 3) };
      if (json) return printJson(answer);
      process.stdout.write(
        `offset ${answer.offset.toFixed(4)} s\ndrift ${(answer.drift * 1e6).toFixed(1)} parts in a million\nfit ${answer.fit}\n`,
      );
    });
