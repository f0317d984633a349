import { isMeasureId, views, type ChecklistRow, type Stance, type Technique, type View } from '../technique/index.ts';
import { bestTrialOf, doubtOfTrial, seenFrom } from './calibration.ts';
import { isNear } from './measured-points.ts';
import { pointMeasureOf, whyNeverRead } from './of-points.ts';
import { tooCoarse } from './proposal.ts';
import { holdingPads, sidesOf, viewOfHolder } from './sight.ts';
import { whyNotFrom } from './steps.ts';
import { measuresOfRounds } from './of-rounds.ts';
import { measuresOfMoments } from './timing.ts';
import { unlearned, type Widenings } from './widening.ts';

/** What answers a question: numbers, with the coach to confirm them; the coach's eye alone; or nothing, from here. */
export type Settles = 'measure' | 'eye' | 'nothing';
export interface FilmAdvice {
  settles: Settles;
  /** What one strike is doubted by at the least, in the unit of the measure; undefined where nothing is measured. */
  doubt: number | undefined;
  /** Why no more than this, and what to film instead. Empty where it is measured. */
  reason: string;
}

/** What a camera can settle of one row, before anybody has looked. @param row as this film's view and rate show it @param view from where is filmed */
export function adviceOn(
  {
    checkpoint,
    band,
    shown,
    betweenFrames,
    reason,
  }: Pick<ChecklistRow, 'checkpoint' | 'band' | 'shown' | 'betweenFrames' | 'reason'>,
  technique: Pick<Technique, 'id' | 'side' | 'kind' | 'checkpoints'>,
  { view, stance }: { view: View; stance: Stance },
  widenings: Widenings = unlearned,
): FilmAdvice {
  const nothing: FilmAdvice = { settles: 'nothing', doubt: undefined, reason };
  if (!shown && !betweenFrames) return nothing;
  const eye = (why: string, doubt?: number): FilmAdvice => (shown ? { settles: 'eye', doubt, reason: why } : nothing);
  if (isMeasureId(checkpoint.measure) && (measuresOfMoments[checkpoint.measure] ?? measuresOfRounds[checkpoint.measure])) {
    return band ? { settles: 'measure', doubt: undefined, reason: '' } : eye('Measured, but there is no band to hold it to.');
  }
  const measure = pointMeasureOf(checkpoint.id);
  if (!measure || !band) return eye(whyNeverRead(checkpoint.id) ?? 'Nothing measures this yet.');
  const hindrance = measure.onlySteps ? whyNotFrom(view, technique) : undefined;
  if (hindrance) return eye(hindrance);
  const sight = measure.of === 'holder' ? sidesOf(viewOfHolder[view], stance, holdingPads) : sidesOf(view, stance, technique);
  const known = measure.views.includes(view) && isNear(sight, measure) ? bestTrialOf(checkpoint.id, seenFrom(sight)) : undefined;
  if (!known) return eye('From here it is not measured well enough to be told.');
  const doubt = doubtOfTrial(known, widenings.all);
  return tooCoarse(band, doubt) ? eye('Measured too coarsely for its band.', doubt) : { settles: 'measure', doubt, reason: '' };
}

/** The best first. */
const worth: Record<Settles, number> = { measure: 3, eye: 1, nothing: 0 };
/** The best of what settles something; nothing where nothing does. */
export const bestSettled = (list: readonly FilmAdvice[]): Settles =>
  (Object.keys(worth) as Settles[]).find((one) => list.some(({ settles }) => settles === one)) ?? 'nothing';
/** Where a camera is to stand for some questions, and what it settles there. */
export interface CameraPlace {
  view: View;
  /** How many of the questions numbers answer, and how many the eye alone. */
  measure: number;
  eye: number;
}

/**
 * From where to film for some questions: the best place for one camera, and where a second one adds most to it; no more than help.
 * Of places that are as good the first of `views` is taken.
 * @param questions what each place settles of each question
 */
export function cameraPlaces(questions: readonly Readonly<Record<View, FilmAdvice>>[]): CameraPlace[] {
  const places: CameraPlace[] = [];
  const best = questions.map((): Settles => 'nothing');
  while (places.length < 2) {
    const gains = views.map((view) => ({
      view,
      gain: questions.reduce((sum, of, at) => sum + Math.max(0, worth[of[view].settles] - worth[best[at]!]), 0),
    }));
    const next = gains.reduce((one, other) => (other.gain > one.gain ? other : one));
    if (next.gain === 0) return places;
    const added = (settles: Settles): number =>
      questions.filter((of, at) => of[next.view].settles === settles && worth[settles] > worth[best[at]!]).length;
    places.push({ view: next.view, measure: added('measure'), eye: added('eye') });
    questions.forEach((of, at) => {
      if (worth[of[next.view].settles] > worth[best[at]!]) best[at] = of[next.view].settles;
    });
  }
  return places;
}

/** The places that settle a question best, and how far; undefined where none does more than what is settled already. */
export function betterPlaces(
  of: Readonly<Record<View, FilmAdvice>>,
  than: Settles,
): { from: readonly View[]; settles: Settles } | undefined {
  const settles = bestSettled(views.map((view) => of[view]));
  if (worth[settles] <= worth[than]) return undefined;
  return { from: views.filter((view) => of[view].settles === settles), settles };
}
