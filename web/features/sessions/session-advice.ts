import { mdiEyeOffOutline, mdiEyeOutline, mdiRulerSquare } from '@mdi/js';
import type { Correction } from '@wax-fist/contract/corrections';
import type { Film } from '@wax-fist/contract/footage';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import {
  adviceOn,
  bestSettled,
  betterPlaces,
  cameraPlaces,
  type CameraPlace,
  type FilmAdvice,
  type Widenings,
} from '@wax-fist/core/measure';
import { checklistFor, views, viewsInWords, type Catalogue, type View } from '@wax-fist/core/technique';
import { sessionsWords as words } from './words.ts';

/** How it is drawn what settles something. */
export const settledSigns: Readonly<Record<FilmAdvice['settles'], string>> = {
  measure: mdiRulerSquare,
  eye: mdiEyeOutline,
  nothing: mdiEyeOffOutline,
};

/** What the films of a session settle of one open correction. */
export interface OpenQuestion {
  correction: Correction;
  /** In the measure of its row: in what a doubt is told. */
  measure: string;
  /** One line for each film, in the order of the session. */
  films: { film: Film; advice: FilmAdvice }[];
  /** From where it would be settled better, and how far; undefined where it would not. */
  better: ReturnType<typeof betterPlaces>;
  /** What each place settles of it. */
  everywhere: Readonly<Record<View, FilmAdvice>>;
}
export interface SessionAdvice {
  questions: OpenQuestion[];
  /** Where cameras settle most of these questions. */
  places: CameraPlace[];
}

/** Frames a second of a film; undefined while nobody knows. */
export const rateOf = ({ frames, duration }: Film): number | undefined =>
  frames && duration && frames > 1 ? ((frames - 1) * 1000) / duration : undefined;

/**
 * What can be settled of the open corrections of a session’s trainee, from its films and from every other place.
 * @param widenings what this club has learned of its films; what is assumed of all where it is left out
 */
export function adviceFor(
  session: Pick<SessionDetail, 'judgedBy' | 'trainee' | 'films' | 'heldOn'>,
  catalogue: Catalogue,
  corrections: readonly Correction[],
  widenings?: Widenings,
): SessionAdvice {
  const { stance } = session.trainee;
  const asked = corrections.flatMap((correction) => {
    const open = correction.state !== 'closed' && correction.openedOn <= session.heldOn;
    const technique = open ? catalogue.techniques.get(correction.technique) : undefined;
    if (!technique) return [];
    const from = (view: View, frameRate?: number): FilmAdvice | undefined => {
      const rows = checklistFor(catalogue, technique.id, { school: session.judgedBy, view, frameRate });
      const row = rows.find(({ checkpoint }) => checkpoint.id === correction.checkpointId);
      return row && adviceOn(row, technique, { view, stance }, widenings);
    };
    const everywhere = Object.fromEntries(views.map((view) => [view, from(view)]));
    // Of a row that this club's checklist does not have any more nothing is asked.
    if (Object.values(everywhere).includes(undefined)) return [];
    const of = everywhere as Record<View, FilmAdvice>;
    const films = session.films
      .filter(({ state }) => state !== 'failed')
      .map((film) => ({ film, advice: from(film.view, rateOf(film)) ?? of[film.view] }));
    return [{ correction, measure: catalogue.checkpoints.get(correction.checkpointId)?.measure ?? '', films, of }];
  });
  return {
    questions: asked.map(({ of, ...question }) => ({
      ...question,
      everywhere: of,
      better: betterPlaces(of, bestSettled(question.films.map(({ advice }) => advice))),
    })),
    places: cameraPlaces(asked.map(({ of }) => of)),
  };
}

/** Where to put one camera, and a second, in words; empty where there is hardly a choice. @param questions how many there are */
export function placesInWords(places: readonly CameraPlace[], questions: number): string {
  if (questions < 2) return '';
  return places
    .map(({ view, measure, eye }, at) => {
      const settled = [measure > 0 && words.measuredMeasure(measure), eye > 0 && words.byEyeEye(eye)].filter(Boolean).join(', ');
      const from = viewsInWords([view]);
      return at === 0 ? words.oneCameraFromTheSettles(from, questions, settled) : words.aSecondOneFromThe(from, settled);
    })
    .join(' ');
}
