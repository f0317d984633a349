import { joinedTrack } from '@wax-fist/core/body';
import { frameNearest, timeOf } from '@wax-fist/core/film';
import {
  followedFilm,
  inCentimetres,
  isReadOfHolder,
  measurable,
  measureOf,
  proposalFor,
  type Measured,
} from '@wax-fist/core/measure';
import { guessedMoments, type StrikeMoments } from '@wax-fist/core/strikes';
import {
  checklistFor,
  findInCatalogue,
  isMeasureId,
  measures,
  shippedCatalogue,
  stances,
  usualSchool,
  views,
  type Band,
  type CheckpointId,
  type ChecklistRow,
  type MeasureId,
  type Stance,
  type Technique,
  type View,
} from '@wax-fist/core/technique';
import type { Centimetres, Ms } from '@wax-fist/core/units';
import { Command, InvalidArgumentError, Option } from 'commander';
import { besides, piecesOf, pointsOfFilm, type FilmPiece, type FilmToWatch } from '../../server/pose/film-points.ts';
import { secondPassOfFilm } from '../../server/pose/second-pass.ts';
import { poseSizes, type PoseSize } from '../../server/pose/pose-size.ts';
import { filmToWatch, progressOnScreen } from '../film-to-watch.ts';
import { readPoints } from '../points-file.ts';
import { printJson, rounded, timesIn } from '../seconds.ts';

interface Wish {
  technique: string;
  at: Ms[];
  view: View;
  stance: Stance;
  stature?: Centimetres;
  model: PoseSize;
  points?: string;
  holder?: string;
  again?: boolean;
  json?: boolean;
}
/** What is looked at before and after a strike. */
const around: Ms = 1500;

function secondsOf(text: string): Ms[] {
  const times = timesIn(text);
  if (![1, 3].includes(times.length))
    throw new InvalidArgumentError('Seconds of the contact, or of launch, contact and home with commas between, in their order.');
  return times;
}
/** @throws Error that offers what there is */
function techniqueNamed(name: string): Technique {
  const technique = shippedCatalogue.techniques.get(name);
  if (technique) return technique;
  const near = findInCatalogue(shippedCatalogue, name)
    .filter(({ kind }) => kind === 'technique')
    .map(({ id }) => id);
  throw new Error(`There is no technique “${name}”.${near.length > 0 ? ` There is: ${near.slice(0, 6).join(', ')}.` : ''}`);
}
/** What was told is set, what was not is a guess. @throws Error for a time after the end */
function momentsAt({ timeline }: FilmToWatch, technique: Technique, at: readonly Ms[]): StrikeMoments {
  if (at.at(-1)! > timeline.at(-1)!) throw new Error(`The film is ${(timeline.at(-1)! / 1000).toFixed(2)} seconds long.`);
  const frames = at.map((time) => frameNearest(timeline, time));
  if (frames.length === 1) return guessedMoments(timeline, technique, frames[0]!, 'set');
  const [launchFrame, contactFrame, homeFrame] = frames as [number, number, number];
  return { launchFrame, contactFrame, homeFrame, launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' };
}

/** Pieces of a film that are too far from a strike to be looked at. */
function elsewhereThan({ timeline, hits }: FilmToWatch, { launchFrame, homeFrame }: StrikeMoments): FilmPiece[] {
  const [from, to] = [timeOf(timeline, launchFrame) - around, timeOf(timeline, homeFrame) + around];
  return piecesOf(timeline, hits).filter(
    (piece) => timeOf(timeline, piece.from) > to || timeOf(timeline, piece.from + piece.frames - 1) < from,
  );
}

/** What is told of one checkpoint; a number or a reason, never both. */
interface Told {
  checkpoint: CheckpointId;
  measure: string;
  unit: string;
  beside: boolean;
  value: number | null;
  doubt: number | null;
  /** In centimetres, where it is a length and the stature was told. */
  cm: number | null;
  cmDoubt: number | null;
  reason: string | null;
  proposed: string | null;
}
/** What a row of a checklist asks for: its own measure, and what is told beside it, on which no verdict hangs. */
interface Asked {
  /** By which it is measured. */
  id: string;
  checkpoint: CheckpointId;
  measure: MeasureId;
  band?: Band | undefined;
  beside: boolean;
}
function askedBy({ checkpoint: { id, measure, besides: other }, band }: ChecklistRow): Asked[] {
  return [
    ...(isMeasureId(measure) ? [{ id, checkpoint: id, measure, band, beside: false }] : []),
    ...(other ? [{ id: other, checkpoint: id, measure: other, beside: true }] : []),
  ];
}
function toldOf({ checkpoint, measure, band, beside }: Asked, measured: Measured, stature: Centimetres | undefined): Told {
  const { name, unit } = measures[measure];
  const about = { checkpoint, measure: name, unit, beside };
  if (measured.value === undefined)
    return { ...about, value: null, doubt: null, cm: null, cmDoubt: null, reason: measured.reason, proposed: null };
  const proposed = (band && proposalFor(band, measured)?.verdict) ?? null;
  const cm = stature === undefined ? undefined : inCentimetres(measure, measured, stature);
  return {
    ...about,
    ...{ value: rounded(measured.value, 3), doubt: rounded(measured.doubt, 3) },
    ...{ cm: cm ? rounded(cm.value, 1) : null, cmDoubt: cm ? rounded(cm.doubt, 1) : null },
    ...{ reason: null, proposed },
  };
}
/** A number to as many places as its doubt has two figures: what comes after those tells nothing. */
function withDoubt(value: number, doubt: number): string {
  const places = doubt > 0 ? Math.max(0, Math.min(3, 1 - Math.floor(Math.log10(doubt)))) : 3;
  return `${value.toFixed(places)} ± ${doubt.toFixed(places)}`;
}
function inWords({ value, doubt, unit, cm, cmDoubt, reason, proposed, beside }: Told): string {
  if (value === null || doubt === null) return reason ?? '';
  const length = cm === null || cmDoubt === null ? '' : `, ${withDoubt(cm, cmDoubt)} cm`;
  return `${withDoubt(value, doubt)} ${unit}${length}\t${beside ? 'told beside' : (proposed ?? 'too close to call')}`;
}
function statureOf(text: string): Centimetres {
  const stature = Number(text);
  if (!(stature >= 90 && stature <= 230)) throw new InvalidArgumentError('Centimetres, 90 to 230.');
  return stature;
}

export const measureCommand = (): Command =>
  new Command('measure')
    .description('Measure one strike of a film: every number with its doubt, or why there is none. Needs no server.')
    .argument('<film>', 'a film')
    .requiredOption('--technique <name>', 'what is thrown, as in bin/wax checklist')
    .requiredOption('--at <seconds>', 'of the contact, or of launch, contact and home, with commas between', secondsOf)
    .addOption(new Option('--view <view>', 'from where it was filmed').choices(views).default('lead-side'))
    .addOption(new Option('--stance <stance>', 'of whoever strikes').choices(stances).default('orthodox'))
    .addOption(new Option('--model <size>', 'how thoroughly is looked').choices(poseSizes).default('full'))
    .option('--points <file>', 'points that bin/wax pose has written, or that were taken along: nothing is followed anew')
    .option('--holder <file>', 'the same of the one who holds, as bin/wax pose --holder writes them')
    .option('--again', 'look at the strike once more with the largest model: it takes half a minute, and tells some rows better')
    .option('--stature <cm>', 'of whoever strikes: lengths are told in centimetres, too', statureOf)
    .option(
      '--json',
      'print [{"checkpoint", "measure", "unit", "beside", "value", "doubt", "cm", "cmDoubt", "reason", "proposed"}]',
    )
    .action(async (path: string, { technique: name, at, view, stance, stature, model, points, holder, again, json }: Wish) => {
      const technique = techniqueNamed(name);
      // What lands says where to begin to follow somebody: where they were followed, nobody need listen.
      const film = await filmToWatch(path, model, points ? [] : undefined);
      const { timeline } = film;
      const strike = momentsAt(film, technique, at);
      const rows = checklistFor(shippedCatalogue, technique.id, { school: usualSchool, view });
      const watching = { done: elsewhereThan(film, strike), progress: progressOnScreen() };
      const track = points ? await readPoints(points, film) : joinedTrack(await pointsOfFilm(film, watching));
      const isHeld = rows.some(({ checkpoint }) => isReadOfHolder(checkpoint.id));
      const followHolder = async () => joinedTrack(await pointsOfFilm(film, { ...watching, butNot: besides(track) }));
      const held = holder ? await readPoints(holder, film) : isHeld ? await followHolder() : undefined;
      const secondPass = again ? await secondPassOfFilm(film, track, [strike], progressOnScreen()) : undefined;
      const followed = followedFilm({ timeline, track, holder: held, secondPass, picture: film, view, stance });
      const one = followed && measurable(followed, strike, technique);
      if (!one) throw new Error('Nobody was found in the picture there.');
      const told = rows.flatMap(askedBy).flatMap((asked) => {
        const measured = measureOf(timeline, strike, one, asked);
        // How tall whoever holds is, nobody has told.
        return measured ? [toldOf(asked, measured, isReadOfHolder(asked.id) ? undefined : stature)] : [];
      });
      if (json) return printJson(told);
      for (const one of told) process.stdout.write(`${one.measure}\t${inWords(one)}\n`);
    });
