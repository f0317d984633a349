import { awayIn, joinPacked, unpackTrack, type Pin } from '@wax-fist/core/body';
import { cardStills, type CardAbout, type CardStill, type StillRole } from '@wax-fist/core/card';
import {
  askLevel,
  clubSpread as spreadOf,
  compareLevels,
  worthwhile,
  type Answer,
  type ClubSpread,
  type Compared,
  type LearnedSeries,
  type Look,
  type Question,
  type SessionLook,
} from '@wax-fist/core/correction';
import { gapAt, timeOf, unpackTimeline } from '@wax-fist/core/film';
import { movesBefore, type MovedBefore, type TimedStrike } from '@wax-fist/core/habits';
import {
  doubtOfFound,
  doubtOfMoment,
  followedFilm,
  measurable,
  measuredRate,
  measureOf,
  pinnedFilm,
  withFoundMoments,
  type MeasuredRate,
  type MeasuredValue,
  type Thrown,
  type Widenings,
} from '@wax-fist/core/measure';
import { alignSounds, listenTo, loudnessOf, soundOfWave, type Candidate, type Sound } from '@wax-fist/core/sound';
import { readiness, type Course, type Readiness, type Standing } from '@wax-fist/core/syllabus';
import { findMotion, findStrikes, motionOf, type FoundStrike, type StrikeMoments } from '@wax-fist/core/strikes';
import { handOf, type Band, type Checkpoint, type Stance, type View } from '@wax-fist/core/technique';
import type { Px, TimeSpan } from '@wax-fist/core/units';
import { readFile } from 'node:fs/promises';
import type { MessagePort } from 'node:worker_threads';

// What takes seconds or minutes of computing. It runs in a thread of its own: see `heavily`.

const waveAt = async (path: string): Promise<Sound> => soundOfWave(await readFile(path));

/** Hits and bells of a wave file. @param told gets the share that is done, 0 to 1 */
export async function listen({ wave, told }: { wave: string; told: MessagePort }) {
  const { samples, sampleRate } = await waveAt(wave);
  return listenTo(samples, sampleRate, (share) => told.postMessage(share));
}

/** Loudness of a wave file, see `loudnessOf`. */
export async function loudness({ wave }: { wave: string }): Promise<Uint8Array> {
  const { samples, sampleRate } = await waveAt(wave);
  return loudnessOf(samples, sampleRate);
}

/** How two wave files stand to each other, see `alignSounds`. */
export async function align({ wave, other }: { wave: string; other: string }) {
  const [one, two] = [await waveAt(wave), await waveAt(other)];
  return alignSounds(one.samples, two.samples, one.sampleRate);
}

/** Moments of most movement. @param timeline packed, see `packTimeline` */
export const motion = async ({ movement, timeline }: { movement: string; timeline: Uint8Array }) =>
  findMotion(await readFile(movement), unpackTimeline(timeline));

/** A film in which strikes are to be found. `timeline` is packed, see `packTimeline`, and so are the pieces of its track, see `packTrack`. */
export interface FilmToFindIn {
  timeline: Uint8Array;
  frames: number;
  pieces: readonly { from: number; packed: Uint8Array }[];
  view: View;
  stance: Stance;
  heard: readonly Candidate[];
}
/** Strikes and defences by ear and eye, see `findStrikes`, and when nobody is there. */
export function strikesIn({ timeline: packed, frames, pieces, view, stance, heard }: FilmToFindIn): {
  both: FoundStrike[];
  away: TimeSpan[];
} {
  const timeline = unpackTimeline(packed);
  const track = pieces.length > 0 ? unpackTrack(0, joinPacked(pieces, frames)) : undefined;
  const both = findStrikes({ timeline, track, view, leftLeads: handOf('lead', stance) === 'left' }, heard);
  return { both, away: track ? awayIn(track, timeline) : [] };
}

/** A film as it lies in the database. `timeline` is packed, see `packTimeline`, and so are the pieces of its track, see `packTrack`. */
export interface PackedFilm {
  timeline: Uint8Array;
  frames: number;
  picture: { width: Px; height: Px };
  pieces: readonly { from: number; packed: Uint8Array }[];
  /** The same of whoever holds. */
  holder: readonly { from: number; packed: Uint8Array }[];
  /** What a second pass has found. */
  again: readonly { from: number; packed: Uint8Array }[];
  /** What was put right by hand. */
  pins: readonly Pin[];
  view: View;
  stance: Stance;
  /** How much more is doubted of it than trials say; left out where nothing is measured. */
  widenings?: Widenings;
}
/** The same as core wants it; nobody is followed in it where there are no points. */
function unpacked({ timeline: packed, frames, picture, pieces, holder, again, pins, view, stance, widenings }: PackedFilm) {
  const timeline = unpackTimeline(packed);
  const [track, held, secondPass] = [pieces, holder, again].map((of) =>
    of.length > 0 ? unpackTrack(0, joinPacked(of, frames)) : undefined,
  );
  const found = track && followedFilm({ timeline, track, holder: held, secondPass, picture, view, stance, widenings });
  return { timeline, picture, followed: found && pinnedFilm(found, pins) };
}

/** Stills of a card, see `cardStills`. @param films each once, with the stills that are taken from them by their place */
export function stillsOfCard({
  about,
  films,
  strikes,
  set,
}: {
  about: CardAbout;
  films: readonly PackedFilm[];
  strikes: Readonly<Partial<Record<StillRole, { film: number; moments: StrikeMoments }>>>;
  set: Readonly<Partial<Record<StillRole, number>>>;
}): CardStill[] {
  const opened = films.map(unpacked);
  const taken = Object.entries(strikes).map(([role, { film, moments }]) => [role, { ...opened[film]!, moments }]);
  return cardStills(about, Object.fromEntries(taken) as Parameters<typeof cardStills>[1], set);
}

/** A strike that is to be measured, by which checkpoints. */
export interface StrikeToMeasure {
  id: string;
  moments: StrikeMoments;
  technique: Thrown;
  checkpoints: readonly Pick<Checkpoint, 'id' | 'measure'>[];
}
/** Strikes of one film. */
export interface FilmToMeasure extends PackedFilm {
  strikes: readonly StrikeToMeasure[];
}
/** What strikes measure; without what cannot be told. */
export function measureStrikes({ strikes, ...film }: FilmToMeasure) {
  const { timeline, followed } = unpacked(film);
  return strikes.flatMap(({ id: strikeId, moments, technique, checkpoints }) => {
    const points = followed && measurable(followed, moments, technique);
    return checkpoints.flatMap((checkpoint) => {
      const measured = measureOf(timeline, moments, points, checkpoint);
      return measured?.value === undefined ? [] : [{ strikeId, checkpointId: checkpoint.id, ...measured }];
    });
  });
}

/** Strikes of one film, before which something may move. */
export interface FilmToLookBefore extends PackedFilm {
  /** In order of time. */
  strikes: readonly { id: string; technique: string; moments: StrikeMoments; thrown: Thrown }[];
}
/** What moves before strikes, see `movesBefore`; nothing where nobody was followed. */
export function movesBeforeStrikes({ strikes, ...film }: FilmToLookBefore): MovedBefore[] {
  const { timeline, followed } = unpacked(film);
  if (!followed) return [];
  const { track, size, stance } = followed;
  const motion = motionOf({ timeline, track, torso: size.torso, leftLeads: handOf('lead', stance) === 'left' });
  const timed = strikes.map(({ id, technique, moments, thrown }): TimedStrike => {
    const known = withFoundMoments(followed, moments, thrown);
    const [launch, home] = [timeOf(timeline, known.launchFrame), timeOf(timeline, known.homeFrame)];
    const found = doubtOfMoment(known, 'launch', doubtOfFound(followed, thrown));
    const doubt = known.launchOrigin === 'guessed' ? undefined : (found ?? gapAt(timeline, known.launchFrame) / 2);
    return { id, technique, side: thrown.side, launch, home, doubt };
  });
  return movesBefore(motion, timed);
}

/** The rate of each list of strikes by measures alone, see `measuredRate`. */
export const measuredRates = (
  lists: readonly { band: Band; strikes: readonly MeasuredValue[] }[],
): (MeasuredRate | undefined)[] => lists.map(({ band, strikes }) => measuredRate(band, strikes));

/** What a club's series tell of levels, see `clubSpread` of core. */
export const clubSpread = (series: readonly LearnedSeries[]): ClubSpread => spreadOf(series);

/** What each of some series says of its question, see `askLevel`. */
export const levelAnswers = ({
  spread,
  asked,
}: {
  spread: ClubSpread;
  asked: readonly (Question & { looks: SessionLook[] })[];
}): Answer[] => asked.map(({ looks, ...question }) => askLevel(looks, spread, question));

/** Pairs of series held against each other, see `compareLevels`. */
export const levelsCompared = ({
  spread,
  pairs,
}: {
  spread: ClubSpread;
  pairs: readonly (readonly [first: readonly Look[], second: readonly Look[]])[];
}): Compared[] => pairs.map(([first, second]) => compareLevels(first, second, spread, worthwhile));

/** How somebody stands to the test of their course, see `readiness`. */
export const readinessOf = ({ course, standing }: { course: Course; standing: Standing }): Readiness =>
  readiness(course, standing);
