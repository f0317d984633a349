import { joinedTrack } from '@wax-fist/core/body';
import { findStrikes, type FoundStrike } from '@wax-fist/core/strikes';
import { leastProminence, usualSensitivity } from '@wax-fist/core/sound';
import {
  handOf,
  shippedCatalogue,
  stances,
  techniqueIn,
  views,
  type Stance,
  type TechniqueKind,
  type View,
} from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { pointsOfFilm } from '../../server/pose/film-points.ts';
import { poseSizes, type PoseSize } from '../../server/pose/pose-size.ts';
import { filmToWatch, heardIn, progressOnScreen } from '../film-to-watch.ts';
import { inSeconds, printJson, rounded } from '../seconds.ts';
import { share } from '../share.ts';

interface Wish {
  stance: Stance;
  view: View;
  model: PoseSize;
  sensitivity: number;
  json?: boolean;
}

/** What strikes, by the kind of a technique; a defence strikes nothing. */
const limbOf: Readonly<Partial<Record<TechniqueKind, string>>> = { hand: 'hand', elbow: 'elbow', kick: 'foot', knee: 'knee' };

/** A strike as it is told: seconds, what strikes and from which side (null for a defence, and where nobody was seen), what it was. */
function told({ time, prominence, from, names }: FoundStrike, stance: Stance) {
  const technique = names[0] && techniqueIn(shippedCatalogue, names[0].technique);
  const limb = technique && limbOf[technique.kind];
  return {
    t: inSeconds(time),
    limb: limb ?? null,
    side: (limb && handOf(technique.side, stance)) ?? null,
    technique: technique?.id ?? null,
    sure: rounded(prominence * (names[0]?.chance ?? 1), 3),
    from,
  };
}

export const strikesCommand = (): Command =>
  new Command('strikes')
    .description('Find the strikes and defences of whoever strikes in a film, by ear and eye, and name them. Needs no server.')
    .argument('<film>', 'a film')
    .option('--json', 'print [{"t", "limb", "side", "technique", "sure", "from"}] instead of a table')
    .addOption(new Option('--stance <stance>', 'which hand and foot are in front').choices(stances).default('orthodox'))
    .addOption(new Option('--view <view>', 'where the camera stands').choices(views).default('lead-side'))
    .addOption(new Option('--model <size>', 'how thoroughly bodies are looked at').choices(poseSizes).default('full'))
    .option('--sensitivity <share>', '0 finds few, 1 many', share, usualSensitivity)
    .addHelpText(
      'after',
      '\nt: seconds from the first frame. limb, side: of what strikes; none for a defence. sure: 0 to 1, that it was this technique.\nfrom: sound, sight, or both.',
    )
    .action(async (path: string, { stance, view, model, sensitivity, json }: Wish) => {
      const heard = await heardIn(path);
      const film = await filmToWatch(path, model, heard);
      const track = joinedTrack(await pointsOfFilm(film, { progress: progressOnScreen() }));
      const searched = { timeline: film.timeline, track, view, leftLeads: handOf('lead', stance) === 'left' };
      const found = findStrikes(searched, heard)
        .filter(({ prominence }) => prominence >= leastProminence(sensitivity))
        .map((strike) => told(strike, stance));
      if (json) return printJson(found);
      const lines = found.map(({ t, limb, side, technique, sure, from }) =>
        [t.toFixed(3), technique ?? '?', side ?? '–', limb ?? '–', sure.toFixed(2), from.join(' + ')].join('\t'),
      );
      process.stdout.write(`${['t\ttechnique\tside\tlimb\tsure\tfrom', ...lines].join('\n')}\n`);
    });
