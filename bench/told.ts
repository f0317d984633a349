import {
  isNear,
  measurable,
  pointMeasures,
  rawMeasure,
  readOf,
  seenFrom,
  steadinesses,
  tails,
  trialOf,
  type Degrees,
  type FollowedFilm,
  type Pass,
  type PointMeasure,
  type Seen,
  type Steadiness,
} from '@wax-fist/core/measure';
import {
  checklistFor,
  isMeasureId,
  isSeries,
  measures,
  rowsOfPart,
  shippedCatalogue,
  techniqueIn,
  usualSchool,
  wholeChecklist,
  type Band,
} from '@wax-fist/core/technique';
import type { Ratio } from '@wax-fist/core/units';
import { group } from 'd3-array';
import type { Truth } from '../simulator/truth/truth.ts';
import { films, followed, personOf, trueMoments } from './followed-films.ts';

/** Which tails a trial may choose from, and how much is taken of what it says that doubt is narrower than deviations. */
export interface Shape {
  tails: readonly Degrees[];
  narrowed: Ratio;
}
const ownShape: Shape = { tails, narrowed: 1 };

/** What one measure said of one strike, and what is true. */
export interface Told {
  checkpoint: string;
  seen: Seen;
  person: string;
  film: string;
  /** Its launch, which tells it from others of the film. */
  strike: number;
  /** How steady the track was that it is read from. */
  steadiness: Steadiness;
  /** What of the shape that trials say errors have is taken: see `bestReading`. */
  shape: Shape;
  truth: number;
  band: Band | undefined;
  raw: { value: number; doubt: number };
}

/** Of what a strike itself is not judged by, as whoever holds for it, and of what is told beside a row. */
function usualBand(checkpoint: string): Band | undefined {
  const measure = shippedCatalogue.checkpoints.get(checkpoint)?.measure ?? checkpoint;
  return isMeasureId(measure) ? measures[measure].band : undefined;
}

interface Telling {
  /** See `measurable`. */
  ofModel?: readonly number[];
  /** By the points of which pass. */
  pass?: Pass;
  /** How steadily a row is read, in each of these ways. */
  read?: (checkpoint: string, seen: Seen) => readonly Steadiness[];
}
type TrueStrike = Truth['strikes'][number];
type TrueTimes = Pick<TrueStrike, 'technique' | 'launch' | 'contact' | 'home' | 'measures'>;
const rowsIn = (technique: string, part: number | null = null): string[] =>
  rowsOfPart(wholeChecklist(shippedCatalogue, technique), shippedCatalogue, { technique, part }).map(
    ({ checkpoint }) => checkpoint.id,
  );
/** What lies before a spell and after it, and is measured of it as a whole. */
const aroundSpells: readonly string[] = ['df.distance'];
/**
 * What is thrown by itself, with what is true of it. Of a series these are its parts, the last of which answers for what only the whole
 * has; of a spell on pads, what lies around it as well.
 */
function thrownIn({ parts, ...whole }: TrueStrike): TrueTimes[] {
  if (!parts) return [whole];
  const asked = (ids: readonly string[]): TrueTimes['measures'] =>
    Object.fromEntries(Object.entries(whole.measures ?? {}).filter(([id]) => ids.includes(id)));
  const technique = techniqueIn(shippedCatalogue, whole.technique);
  if (!isSeries(technique)) return [...parts, { ...whole, measures: asked(aroundSpells) }];
  const last = parts.at(-1)!;
  const own = rowsIn(last.technique);
  const only = rowsIn(whole.technique, parts.length - 1).filter((id) => !own.includes(id));
  return [...parts.slice(0, -1), { ...last, measures: { ...last.measures, ...asked(only) } }];
}

/** What is told of the strikes of a film. */
export function* toldOf(
  film: string,
  { scene, truth }: { scene: FollowedFilm; truth: Pick<Truth, 'strikes'> },
  { ofModel, pass = 'first', read = () => ['found'] }: Telling = {},
): Generator<Told> {
  const { timeline, view } = scene;
  for (const { technique: id, measures, ...times } of truth.strikes.flatMap(thrownIn)) {
    if (!measures) continue;
    const technique = techniqueIn(shippedCatalogue, id);
    const first = measurable(scene, trueMoments(timeline, times), technique, ofModel);
    const strike = pass === 'first' ? first : first?.again;
    if (!strike) continue;
    const bands = new Map(
      checklistFor(shippedCatalogue, id, { school: usualSchool, view }).map(({ checkpoint, band }) => [checkpoint.id, band]),
    );
    for (const [checkpoint, value] of Object.entries(measures)) {
      const measure = (pointMeasures as Record<string, PointMeasure | undefined>)[checkpoint];
      const one = measure?.views.includes(view) && isNear(strike.sight, measure) ? readOf(strike, measure) : undefined;
      if (!one) continue;
      const band = bands.get(checkpoint) ?? usualBand(checkpoint);
      const about = {
        checkpoint,
        seen: seenFrom(one.sight),
        person: personOf(film),
        film,
        strike: times.launch,
        truth: value,
        band,
      };
      for (const steadiness of read(checkpoint, about.seen)) {
        const raw = rawMeasure(one.steady(steadiness), measure!);
        if (raw) yield { ...about, steadiness, shape: ownShape, raw };
      }
    }
  }
}

/** A checkpoint, and from where it was seen. */
export const rowOf = ({ checkpoint, seen }: Pick<Told, 'checkpoint' | 'seen'>): string => `${checkpoint} ${seen}`;
export const grouped = (list: readonly Told[]): Map<string, Told[]> =>
  new Map([...group(list, rowOf)].sort(([one], [other]) => (one < other ? -1 : 1)));

const inEveryFilm = (telling: Telling): Told[] =>
  films.flatMap((film) => {
    const seen = followed(film);
    return seen ? [...toldOf(film, seen, telling)] : [];
  });
/** What is told of all strikes, each row in every way in which it can be read. */
export const everyReading = (pass: Pass): Told[] => inEveryFilm({ pass, read: () => steadinesses });
/** The same, each row read as steadily as it ships. */
export const shippedReading = (pass: Pass): Told[] =>
  inEveryFilm({
    pass,
    read: (checkpoint, seen) => [trialOf(checkpoint, seen, pass)?.steadiness ?? 'found'],
  });
