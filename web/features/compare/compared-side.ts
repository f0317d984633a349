import { compareEndpoints, type ComparedStrike } from '@wax-fist/contract/compare';
import type { Track } from '@wax-fist/core/body';
import { followedFilm, type FollowedFilm } from '@wax-fist/core/measure';
import { thrownAs, type Catalogue, type Technique } from '@wax-fist/core/technique';
import { request } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { playableOf, pointsOf } from '../footage/playable.ts';

/** One of the two strikes that are held against each other. */
export interface ComparedSide {
  strike: ComparedStrike;
  playable: PlayableFilm;
  /** The checklists by which its session is judged. */
  catalogue: Catalogue;
  technique: Technique | undefined;
  /** The body as it was followed; comes later, and not at all where it was not. */
  followed: Promise<FollowedFilm | undefined>;
}

function followedIn({ film, stance }: ComparedStrike, { timeline }: PlayableFilm, track: Track | undefined) {
  const picture = { width: film.width!, height: film.height! };
  return track && followedFilm({ timeline, track, picture, view: film.view, stance });
}

/** @throws Refused, Unreachable, and Error when its film cannot be shown yet */
export async function comparedSide(strikeId: string): Promise<ComparedSide> {
  const strike = await request(compareEndpoints.comparedStrike, { params: { strikeId } });
  if (strike.film.state !== 'ready') throw new Error('The film of this strike cannot be shown yet.');
  const points = pointsOf(strike.film);
  const [playable, catalogue] = await Promise.all([playableOf(strike.film), useCatalogue().at(strike.checklistVersion)]);
  return {
    strike,
    playable,
    catalogue,
    technique: catalogue.techniques.get(thrownAs(catalogue, strike)),
    followed: points.then((track) => followedIn(strike, playable, track)),
  };
}
