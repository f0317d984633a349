import { joinedTrack, packTrack, pointIn, pointNames, type Track } from '@wax-fist/core/body';
import type { Ms } from '@wax-fist/core/units';
import { Command, Option } from 'commander';
import { writeFile } from 'node:fs/promises';
import { gzipSync } from 'node:zlib';
import { besides, pointsOfFilm, poseVersion } from '../../server/pose/film-points.ts';
import { poseSizes, type PoseSize } from '../../server/pose/pose-size.ts';
import { secondPassOfFilm, strikesAt } from '../../server/pose/second-pass.ts';
import { filmToWatch, progressOnScreen } from '../film-to-watch.ts';
import { inSeconds, printJson, rounded, timesIn } from '../seconds.ts';

interface Wish {
  json?: boolean;
  out?: string;
  holder?: string;
  again?: string;
  at?: Ms[];
  model: PoseSize;
}

/** Every frame with its points, for whoever computes with them elsewhere. */
const frameByFrame = (track: Track, times: ArrayLike<number>) =>
  Array.from(times, (time, frame) => ({
    t: inSeconds(time),
    points: pointIn(track, frame, 0)
      ? pointNames.map((_, point) => {
          const { x, y, depth, seen } = pointIn(track, frame, point)!;
          return [rounded(x, 2), rounded(y, 2), rounded(depth, 1), rounded(seen, 2)];
        })
      : null,
  }));

export const poseCommand = (): Command =>
  new Command('pose')
    .description('Follow the body of whoever strikes through a film, point by point. Needs no server.')
    .argument('<film>', 'a film')
    .option('--json', 'print every frame with its points')
    .option('--out <file>', 'write them to a file: .json as with --json, .gz packed')
    .option('--holder <file>', 'follow the other one, who holds, as well, and write those points to this file')
    .option(
      '--again <file>',
      'look once more, with the largest model, at the strikes of --at, and write those points to this file',
    )
    .option('--at <seconds>', 'when these strikes land, with commas between: see bin/wax strikes', timesIn)
    .addOption(new Option('--model <size>', 'how thoroughly is looked').choices(poseSizes).default('full'))
    .addHelpText(
      'after',
      '\nA point: x and y in pixels, depth in pixels from the hips (less is nearer), and how far it is seen, 0 to 1.',
    )
    .action(async (path: string, { json, out, holder, again, at, model: size }: Wish) => {
      if ((again === undefined) !== (at === undefined)) throw new Error('--again goes with --at, which says when strikes land.');
      const film = await filmToWatch(path, size);
      const track = joinedTrack(await pointsOfFilm(film, { progress: progressOnScreen() }));
      const format = { format: 'wax-fist-points', version: poseVersion, model: size, names: pointNames };
      const told = (one: Track) => ({ ...format, frames: frameByFrame(one, film.timeline) });
      const written = (one: Track, file: string, model = size): Promise<void> => {
        if (!file.endsWith('.gz')) return writeFile(file, JSON.stringify({ ...told(one), model }));
        const packed = Buffer.from(packTrack(one)).toString('base64');
        return writeFile(file, gzipSync(JSON.stringify({ ...format, model, frames: one.frames, packed }), { level: 9 }));
      };
      if (holder) {
        await written(joinedTrack(await pointsOfFilm(film, { butNot: besides(track), progress: progressOnScreen() })), holder);
      }
      if (again && at) {
        const strikes = strikesAt(film.timeline, at);
        await written(await secondPassOfFilm(film, track, strikes, progressOnScreen()), again, 'heavy');
      }
      if (out) return written(track, out);
      if (json) return printJson(told(track));
      const found = told(track).frames.filter(({ points }) => points).length;
      process.stdout.write(`${found} of ${film.timeline.length} frames with a body\n`);
    });
