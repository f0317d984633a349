import { unpackTrack, type Track } from '@wax-fist/core/body';
import { frameNearest, timelineOf, type FrameTimeline } from '@wax-fist/core/film';
import { followedFilm, type FollowedFilm } from '@wax-fist/core/measure';
import type { StrikeMoments } from '@wax-fist/core/strikes';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { Truth } from '../simulator/truth/truth.ts';

const simulator = join(import.meta.dirname, '..', 'simulator');
/** Films of the demo club, and of people who are filmed for nothing else. */
const folders = ['footage', 'trials'].map((name) => join(simulator, name));
const read = (file: string): unknown => JSON.parse(gunzipSync(readFileSync(file)).toString());

/** Paths without their endings, of everything that was filmed. */
export const everyFilm: readonly string[] = folders.flatMap((folder) =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.points.gz'))
    .map((file) => join(folder, file.replace('.points.gz', ''))),
);
/** What measures are tried on. Films of feints are made to be found in: they hold too little of anything that is measured. */
export const films = everyFilm.filter((film) => !film.includes('-feints-'));
/** Who is in a film: a trial holds people back, not films. */
export const personOf = (film: string): string => basename(film).split('-')[0]!;

/** The moments of a strike as they truly are, on the frames that are nearest to them. */
export const trueMoments = (
  timeline: FrameTimeline,
  { launch, contact, home }: Pick<Truth['strikes'][number], 'launch' | 'contact' | 'home'>,
): StrikeMoments => ({
  ...{ launchFrame: frameNearest(timeline, launch), launchOrigin: 'set' },
  ...{ contactFrame: frameNearest(timeline, contact), contactOrigin: 'set' },
  ...{ homeFrame: frameNearest(timeline, home), homeOrigin: 'set' },
});

const trackIn = (file: string): Track => unpackTrack(0, Buffer.from((read(file) as { packed: string }).packed, 'base64'));
/** Films that were read already: each is asked for by one trial after the other. */
const readBefore = new Map<string, { scene: FollowedFilm; truth: Truth } | undefined>();
/** A film as the pose model saw it, and what is true of it; undefined when nobody was found. It is everybody's: not to be changed. */
export function followed(film: string): { scene: FollowedFilm; truth: Truth } | undefined {
  if (!readBefore.has(film)) readBefore.set(film, readAnew(film));
  return readBefore.get(film);
}

/** The same, read from its files each time. */
export function readAnew(film: string): { scene: FollowedFilm; truth: Truth } | undefined {
  const truth = read(`${film}.truth.json.gz`) as Truth;
  // What was looked at again in a part of a film only lies with the trials, so that the demo club is not half one way and half the other.
  const besides = (name: string): Track | undefined => {
    const file = [film, join(simulator, 'trials', basename(film))].map((path) => `${path}.${name}.gz`).find(existsSync);
    return file === undefined ? undefined : trackIn(file);
  };
  const others = { holder: besides('holder'), secondPass: besides('second-pass') };
  const scene = followedAs(truth, trackIn(`${film}.points.gz`), others);
  return scene && { scene, truth };
}

/** A film with these points; undefined when nobody was found. @param others of whoever holds, and of a second pass */
export function followedAs(
  { camera, frameTimes, scene: { stance } }: Truth,
  track: Track,
  others: { holder?: Track | undefined; secondPass?: Track | undefined } = {},
): FollowedFilm | undefined {
  const { view, pictureWidth: width, pictureHeight: height } = camera;
  return followedFilm({ timeline: timelineOf(frameTimes), track, ...others, picture: { width, height }, view, stance });
}
