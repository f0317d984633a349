import type { FrameTimeline } from '../film/index.ts';
import { bodyRead, measurable, readFrom, shapesAt, type FollowedFilm, type Shape } from '../measure/index.ts';
import { phaseFrames, type StrikeMoments } from '../strikes/index.ts';
import type { Checkpoint, Technique } from '../technique/index.ts';
import type { FrameIndex, Px } from '../units.ts';
import { middlePart, shownPart, type Part } from './shown-part.ts';
import type { StillRole } from './still-roles.ts';
import { likelyTurn, turnsWrong } from './turns-wrong.ts';

/** How one came by the frame of a still: its moment, found against a good strike, likely, or set by the coach. */
export const stillOrigins = ['moment', 'found', 'likely', 'set'] as const;
export type StillOrigin = (typeof stillOrigins)[number];

/** A still of a card: which frame, which part of it, and what is drawn over it, in pixels of the picture. */
export interface CardStill {
  role: StillRole;
  frame: FrameIndex;
  origin: StillOrigin;
  part: Part;
  shapes: Shape[];
}

/** A strike from which stills are taken. */
export interface StrikeForCard {
  timeline: FrameTimeline;
  picture: { width: Px; height: Px };
  /** Undefined where nobody was followed. */
  followed: FollowedFilm | undefined;
  moments: StrikeMoments;
}

/** What a card is about. */
export interface CardAbout {
  checkpoint: Pick<Checkpoint, 'id' | 'phase' | 'stop'>;
  technique: Pick<Technique, 'side' | 'kind' | 'checkpoints'>;
}

function still(
  role: StillRole,
  strike: StrikeForCard,
  frame: FrameIndex,
  origin: StillOrigin,
  { checkpoint, technique }: CardAbout,
): CardStill {
  const { followed, moments, picture } = strike;
  if (!followed) return { role, frame, origin, part: middlePart(picture), shapes: [] };
  const points = measurable(followed, moments, technique);
  const read = points && readFrom(points, checkpoint.id);
  return {
    ...{ role, frame, origin },
    part: shownPart(bodyRead(followed, read), frame, checkpoint.stop, read?.points ?? []),
    shapes: read ? shapesAt(followed, frame, checkpoint.id, read) : [],
  };
}

/**
 * The stills of a card.
 * @param strikes from which each of them is taken; what is missing gives none
 * @param set frames that the coach has set
 */
export function cardStills(
  about: CardAbout,
  strikes: Readonly<Partial<Record<StillRole, StrikeForCard>>>,
  set: Readonly<Partial<Record<StillRole, FrameIndex>>>,
): CardStill[] {
  const judgedIn = ({ timeline, moments }: StrikeForCard): FrameIndex => phaseFrames(timeline, moments)[about.checkpoint.phase];
  const turnOf = (strike: StrikeForCard): [FrameIndex, StillOrigin] => {
    const { should: good } = strikes;
    const { followed, moments } = strike;
    const points = followed && measurable(followed, moments, about.technique);
    const read = points && readFrom(points, about.checkpoint.id);
    const found =
      read && good?.followed
        ? turnsWrong({ film: followed, moments }, { film: good.followed, moments: good.moments }, read.points)
        : undefined;
    return found === undefined ? [likelyTurn(strike, moments, judgedIn(strike)), 'likely'] : [found, 'found'];
  };
  return (Object.entries(strikes) as [StillRole, StrikeForCard][]).map(([role, strike]) => {
    const own = set[role];
    const [frame, origin]: [FrameIndex, StillOrigin] =
      own !== undefined ? [own, 'set'] : role === 'turns' ? turnOf(strike) : [judgedIn(strike), 'moment'];
    return still(role, strike, frame, origin, about);
  });
}
