import { compareEndpoints, type ComparedStrike } from '@wax-fist/contract/compare';
import type { Track } from '@wax-fist/core/body';
import type { FrameTimeline } from '@wax-fist/core/film';
import { followedFilm, type FollowedFilm } from '@wax-fist/core/measure';
import type { StrikeMoments } from '@wax-fist/core/strikes';
import { thrownAs, type Catalogue, type Stance, type Technique } from '@wax-fist/core/technique';
import type { Px } from '@wax-fist/core/units';
import { request } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { playableOf, pointsOf } from '../footage/playable.ts';
import { useWidenings } from '../point-checks/widenings-store.ts';
import { compareWords as words } from './words.ts';

/** What is held against something else, whether it was filmed or is drawn. */
interface Side {
  timeline: FrameTimeline;
  moments: StrikeMoments;
  picture: { width: Px; height: Px };
  stance: Stance;
  /** The checklists by which it is judged. */
  catalogue: Catalogue;
  technique: Technique | undefined;
  /** The body as it was followed; undefined where it was not. Asked for once. @throws Refused, Unreachable */
  followed: () => Promise<FollowedFilm | undefined>;
}
/** A strike of a film. */
export interface FilmedSide extends Side {
  strike: ComparedStrike;
  playable: PlayableFilm;
}
/** How it is thrown cleanly, drawn as a body. */
export interface DrawnSide extends Side {
  strike?: never;
  body: Track;
}
export type ComparedSide = FilmedSide | DrawnSide;

function followedIn({ film, stance }: ComparedStrike, { timeline }: PlayableFilm, track: Track | undefined) {
  const picture = { width: film.width!, height: film.height! };
  const { now: widenings } = useWidenings();
  return track && followedFilm({ timeline, track, picture, view: film.view, stance, widenings });
}

/** Asks at the first need, and again only where that failed. */
function once<T>(ask: () => Promise<T>): () => Promise<T> {
  let asked: Promise<T> | undefined;
  return () =>
    (asked ??= ask().catch((error: unknown) => {
      asked = undefined;
      throw error;
    }));
}

/** @throws Refused, Unreachable, and Error when its film cannot be shown yet */
export async function filmedSide(strikeId: string): Promise<FilmedSide> {
  const strike = await request(compareEndpoints.comparedStrike, { params: { strikeId } });
  const { film, stance } = strike;
  if (film.state !== 'ready') throw new Error(words.theFilmOfThisStrike);
  const [playable, catalogue] = await Promise.all([playableOf(film), useCatalogue().at(strike.checklistVersion)]);
  return {
    ...{ strike, playable, catalogue, stance },
    timeline: playable.timeline,
    moments: strike,
    picture: { width: film.width!, height: film.height! },
    technique: catalogue.techniques.get(thrownAs(catalogue, strike)),
    followed: once(async () => {
      const [track] = await Promise.all([pointsOf(film), useWidenings().load()]);
      return followedIn(strike, playable, track);
    }),
  };
}
