import { unpackTrack } from '@wax-fist/core/body';
import { drawnFrom, drawnPicture, drawnStrike } from '@wax-fist/core/compare';
import { followedFilm } from '@wax-fist/core/measure';
import type { MomentFrames } from '@wax-fist/core/strikes';
import { messageOf } from '@wax-fist/core/message-of';
import type { DrawnSide, FilmedSide } from './compared-side.ts';
import allMoments from './drawn/moments.json';
import { compareWords as words } from './words.ts';

/** Strikes of the simulated trainee that ship, as `bin/simulate strikes` wrote them. */
const places = import.meta.glob<string>('./drawn/*.points', { eager: true, query: '?url', import: 'default' });
const moments: Readonly<Record<string, MomentFrames | undefined>> = allMoments;

/** Stands in the address for how it is thrown cleanly. */
export const drawnId = 'drawn';
export const isDrawn = (technique: string): boolean => moments[technique] !== undefined;

const set = { launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' } as const;

/**
 * How what a strike was meant to be is thrown cleanly, seen from where that strike was filmed.
 * @throws Error where there is no drawing of it, or it does not come
 */
export async function drawnSide({ strike, technique, catalogue }: FilmedSide): Promise<DrawnSide> {
  const known = technique && moments[technique.id];
  const place = technique && places[`./drawn/${technique.id}.points`];
  if (!known || !place) throw new Error(words.thereIsNoDrawingOfThis);
  const answer = await fetch(place).catch((error: unknown) => {
    throw new Error(words.theDrawingDidNotCome(messageOf(error)));
  });
  if (!answer.ok) throw new Error(words.theDrawingIsNotWhere);
  const drawn = drawnStrike(known, unpackTrack(0, new Uint8Array(await answer.arrayBuffer())));
  const { view } = strike.film;
  const body = drawnFrom(drawn, view);
  const { timeline } = drawn;
  const followed = followedFilm({ timeline, track: body, picture: drawnPicture, view, stance: 'orthodox' });
  return {
    ...{ timeline, body, catalogue, technique },
    moments: { ...known, ...set },
    picture: drawnPicture,
    stance: 'orthodox',
    followed: () => Promise.resolve(followed),
  };
}
