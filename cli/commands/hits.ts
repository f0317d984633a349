import { hitsOf, listenTo, noHitEdits, usualSensitivity } from '@wax-fist/core/sound';
import { Command } from 'commander';
import { inSeconds, printJson, rounded } from '../seconds.ts';
import { soundOf } from '../media-file.ts';
import { share } from '../share.ts';

export const hitsCommand = (): Command =>
  new Command('hits')
    .description('Find hits on bags and pads in a media file. Needs no server.')
    .argument('<media file>', 'anything with sound that ffmpeg reads')
    .option('--json', 'print [{"t", "level", "attack", "decay", "brightness", "snap", "sure"}] instead of a table')
    .option('--sensitivity <share>', '0 finds few hits, 1 many', share, usualSensitivity)
    .addHelpText(
      'after',
      '\nt: seconds from the first frame. level: dB to the usual hit of the file. attack, decay: ms.\nbrightness, snap: 0 to 1; snap is a rank within the file and not to be compared with another.\nsure: 0 to 1, that it is a hit.',
    )
    .action(async (path: string, { json, sensitivity }: { json?: boolean; sensitivity: number }) => {
      const { samples, sampleRate } = await soundOf(path);
      const { hits: sound } = listenTo(samples, sampleRate);
      const sureAt = new Map(sound.map(({ time, prominence }) => [time, prominence]));
      const hits = hitsOf({ sound }, { ...noHitEdits, sensitivity }).map(({ time, sound: heard }) => ({
        t: inSeconds(time),
        level: rounded(heard!.level, 2),
        attack: rounded(heard!.attack, 1),
        decay: rounded(heard!.decay, 1),
        brightness: rounded(heard!.brightness, 4),
        snap: rounded(heard!.snap, 4),
        sure: rounded(sureAt.get(time)!, 3),
      }));
      if (json) return printJson(hits);
      const lines = hits.map(({ t, level, attack, decay, brightness, snap, sure }) =>
        [
          t.toFixed(3),
          level.toFixed(1),
          attack.toFixed(0),
          decay.toFixed(0),
          brightness.toFixed(2),
          snap.toFixed(2),
          sure.toFixed(2),
        ].join('\t'),
      );
      process.stdout.write(`${['t\tlevel\tattack\tdecay\tbright\tsnap\tsure', ...lines].join('\n')}\n`);
    });
