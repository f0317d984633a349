import { hasBody, joinedTrack } from '@wax-fist/core/body';
import type { Ms } from '@wax-fist/core/units';
import { Command, Option } from 'commander';
import { besides, pointsOfFilm } from '../../server/pose/film-points.ts';
import { poseSizes, type PoseSize } from '../../server/pose/pose-size.ts';
import { secondPassOfFilm, strikesAt } from '../../server/pose/second-pass.ts';
import { filmToWatch, progressOnScreen } from '../film-to-watch.ts';
import { documentOf, writePoints } from '../points-file.ts';
import { printJson, timesIn } from '../seconds.ts';

interface Wish {
  json?: boolean;
  out?: string;
  holder?: string;
  again?: string;
  at?: Ms[];
  model: PoseSize;
}

export const poseCommand = (): Command =>
  new Command('pose')
    .description('Follow the body of whoever strikes through a film, point by point. Needs no server.')
    .argument('<film>', 'a film')
    .option('--json', 'print every frame with its points, as docs/points.md has it')
    .option('--out <file>', 'write them to a file: .json as with --json, .gz packed; bin/wax measure --points reads both')
    .option('--holder <file>', 'follow the other one, who holds, as well, and write those points to this file')
    .option(
      '--again <file>',
      'look once more, with the largest model, at the strikes of --at, and write those points to this file',
    )
    .option('--at <seconds>', 'when these strikes land, with commas between: see bin/wax strikes', timesIn)
    .addOption(new Option('--model <size>', 'how thoroughly is looked').choices(poseSizes).default('full'))
    .addHelpText(
      'after',
      '\nFour numbers a point: x and y in pixels, depth in pixels from the hips (less is nearer), and how far it is seen, 0 to 1.',
    )
    .action(async (path: string, { json, out, holder, again, at, model: size }: Wish) => {
      if ((again === undefined) !== (at === undefined)) throw new Error('--again goes with --at, which says when strikes land.');
      const film = await filmToWatch(path, size);
      const track = joinedTrack(await pointsOfFilm(film, { progress: progressOnScreen() }));
      if (holder) {
        const other = joinedTrack(await pointsOfFilm(film, { butNot: besides(track), progress: progressOnScreen() }));
        await writePoints(holder, other, film, size);
      }
      if (again && at) {
        const strikes = strikesAt(film.timeline, at);
        await writePoints(again, await secondPassOfFilm(film, track, strikes, progressOnScreen()), film, 'heavy');
      }
      if (out) return writePoints(out, track, film, size);
      if (json) return printJson(documentOf(track, film, size));
      const found = Array.from(film.timeline, (_, frame) => hasBody(track, frame)).filter(Boolean).length;
      process.stdout.write(`${found} of ${film.timeline.length} frames with a body\n`);
    });
