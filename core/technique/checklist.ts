import { phases } from '../strikes/phase.ts';
import type { Ratio } from '../units.ts';
import type { Band } from './band.ts';
import { checkpointIn, rowsOf, techniqueIn, type Catalogue } from './catalogue.ts';
import type { Checkpoint } from './checkpoint.ts';
import type { EditedRow } from './club-edits.ts';
import { walkStops } from './family.ts';
import { isMeasureId, measures } from './measure.ts';
import { drawnIn, fixedFor } from './schools/fixed-faults.ts';
import { effectsOf, usualSchool, type School } from './schools/school.ts';
import type { ChoiceEffects } from './schools/switch.ts';
import { footLaneRule, type MatchUp } from './stance.ts';
import { checkpointLists, type TechniqueId } from './technique.ts';
import { viewsInWords, type View } from './view.ts';

/** By what, and from what, a strike is judged. */
export interface Judging {
  school: School;
  view: View;
  /** The other view that is on show. */
  other?: View | undefined;
  /** Frames a second of the film; unknown counts as enough. */
  frameRate?: number | undefined;
  /** How trainee and holder stand to each other, where there is a holder. */
  matchUp?: MatchUp | undefined;
  /** Whether somebody holds pads and is looked at, too. */
  withHolder?: boolean;
  /** How tall whoever it is thrown at is, of whoever strikes; unknown counts as alike. */
  opponent?: Ratio | undefined;
}

/** A row of a technique’s checklist, as it is asked in one session from one view. */
export interface ChecklistRow {
  /** With the words of school, match-up and club. */
  checkpoint: Checkpoint;
  band: Band | undefined;
  /** Who has set the band. */
  bandBy: 'measure' | 'technique' | 'school' | 'club' | undefined;
  /** Measured and told in this school, but no fault. */
  reported: boolean;
  /** A fault in every school, in words; empty where schools may differ. */
  fixed: string;
  /** Whether a view that is on show can show it. */
  shown: boolean;
  /** Not shown, since it is over between two frames; the view would show it. What measures read between frames can still be told. */
  betweenFrames: boolean;
  /** The view that answers it: the own one if it can, else the other. */
  from: View;
  /** Why not, and from where it could be seen. Empty when shown. */
  reason: string;
}

/** From the feet up; at each stop of the eye in the order of time. */
const inWalkingOrder = ({ checkpoint: a }: ChecklistRow, { checkpoint: b }: ChecklistRow): number =>
  walkStops.indexOf(a.stop) - walkStops.indexOf(b.stop) || phases.indexOf(a.phase) - phases.indexOf(b.phase);

/** A technique's rows in walking order (the club's, where it has set one), as school, match-up, club and view make them. */
export function checklistFor(catalogue: Catalogue, technique: TechniqueId, judging: Judging): ChecklistRow[] {
  const effects = effectsOf(judging.school);
  const edited = catalogue.edited.has(technique);
  const asked = withSchool(rowsOf(catalogue, technique), technique, effects);
  const known = new Set(asked.map(({ checkpointId }) => checkpointId));
  const holder = judging.withHolder ? checkpointLists.holder.filter((id) => !known.has(id)) : [];
  const rows = [...asked, ...holder.map((checkpointId): EditedRow => ({ checkpointId }))]
    .filter(({ hidden }) => !hidden)
    .map((row) => rowFor(catalogue, technique, row, effects, judging));
  return edited ? rows : rows.sort(inWalkingOrder);
}

/** The checklist as it would be with nothing but the usual school, seen from everywhere: for browsing. */
export const wholeChecklist = (catalogue: Catalogue, technique: TechniqueId, school: School = usualSchool): ChecklistRow[] =>
  checklistFor(catalogue, technique, { school, view: 'quarter' }).map((row) => ({
    ...row,
    shown: true,
    betweenFrames: false,
    reason: '',
  }));

const holdsFor = (techniques: readonly string[] | undefined, technique: string): boolean =>
  techniques?.includes(technique) ?? true;

function withSchool(rows: readonly EditedRow[], technique: string, effects: readonly ChoiceEffects[]): EditedRow[] {
  const drops = new Set(
    effects.flatMap(({ drops: list = [] }) =>
      list.filter((one) => holdsFor(one.techniques, technique)).map((one) => one.checkpoint as string),
    ),
  );
  const kept = rows.filter(({ checkpointId }) => !drops.has(checkpointId));
  const known = new Set(kept.map(({ checkpointId }) => checkpointId));
  const added = effects.flatMap(({ adds = [] }) =>
    adds
      .filter((one) => holdsFor(one.techniques, technique) && !known.has(one.checkpoint))
      .map((one) => ({ checkpointId: one.checkpoint })),
  );
  return [...kept, ...added];
}

function rowFor(
  catalogue: Catalogue,
  technique: TechniqueId,
  row: EditedRow,
  effects: readonly ChoiceEffects[],
  judging: Judging,
): ChecklistRow {
  const shipped = checkpointIn(catalogue, row.checkpointId);
  const about = (one: { checkpoint: string; techniques?: readonly string[] }): boolean =>
    one.checkpoint === row.checkpointId && holdsFor(one.techniques, technique);
  const lane = row.checkpointId === 'pv.outside-foot' && judging.matchUp ? footLaneRule[judging.matchUp] : undefined;
  const words = effects
    .flatMap(({ words: list = [] }) => list.filter(about))
    .map(({ question, clean }) => ({ ...(question && { question }), ...(clean && { clean }) }));
  const checkpoint: Checkpoint = {
    ...shipped,
    ...words.reduce((all, one) => ({ ...all, ...one }), {}),
    ...lane,
    ...(row.question && { question: row.question }),
    ...(row.clean && { clean: row.clean }),
    ...(row.cue && { cues: [row.cue, ...shipped.cues] }),
  };
  const fixed = fixedFor(technique, row.checkpointId);
  const found = bandFor(
    catalogue,
    technique,
    row,
    shipped,
    effects.flatMap(({ bands = [], adds = [] }) => [...bands, ...adds]).filter(about),
    judging.opponent,
  );
  const reported = !fixed && effects.some(({ reports = [] }) => reports.some(about));
  const band = found.band && fixed ? drawnIn(found.band, fixed) : found.band;
  return { checkpoint, ...found, band, reported, fixed: fixed?.says ?? '', ...seenFrom(checkpoint, judging) };
}

function bandFor(
  catalogue: Catalogue,
  technique: TechniqueId,
  row: EditedRow,
  { measure }: Checkpoint,
  bySchool: readonly { band?: Band }[],
  opponent: Ratio | undefined,
): Pick<ChecklistRow, 'band' | 'bandBy'> {
  const school = bySchool.find(({ band }) => band)?.band;
  const { bands, zones } = techniqueIn(catalogue, technique);
  const measured = isMeasureId(measure) ? measures[measure] : undefined;
  const own = bands[row.checkpointId] ?? measured?.bandByZones?.(zones, opponent);
  const usual = measured?.band;
  if (row.band) return { band: row.band, bandBy: 'club' };
  if (school) return { band: school, bandBy: 'school' };
  if (own) return { band: own, bandBy: 'technique' };
  return { band: usual, bandBy: usual && 'measure' };
}

/** Measures were tried at 30 frames a second, as most telephones film. */
const leastMeasuredRate = 24;
/** Whether picture and frame rate can show a checkpoint, from where, and if not what to film instead. */
function seenFrom(
  { views, leastRate }: Checkpoint,
  { view, other, frameRate = Infinity }: Judging,
): Pick<ChecklistRow, 'shown' | 'betweenFrames' | 'from' | 'reason'> {
  const from = [view, other].find((one) => one && views.includes(one));
  if (!from) {
    const reason = `Cannot be judged from here: film from the ${viewsInWords(views)}.`;
    return { shown: false, betweenFrames: false, from: view, reason };
  }
  // A rate is told by the film in hand; the other one is taken as it is.
  if (from === view && frameRate < leastRate) {
    const reason = `Over between two frames at ${Math.round(frameRate)} a second: film at 60 or more.`;
    return { shown: false, betweenFrames: frameRate >= leastMeasuredRate, from: view, reason };
  }
  return { shown: true, betweenFrames: false, from, reason: '' };
}
