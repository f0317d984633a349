import type { Side } from './technique.ts';

/** Orthodox leads with the left, southpaw with the right. */
export const stances = ['orthodox', 'southpaw'] as const;
export type Stance = (typeof stances)[number];

/** The hand or foot that a technique is thrown with; undefined when both are. */
export const handOf = (side: Side, stance: Stance): 'left' | 'right' | undefined =>
  side === 'both' ? undefined : (side === 'lead') === (stance === 'orthodox') ? 'left' : 'right';

/** How two who face each other stand to each other: opposite leads make it open, the same lead closed. */
export type MatchUp = 'open' | 'closed';
/** How two people stand to each other: with the same foot in front, or not. */
export const matchUpOf = (trainee: Stance, holder: Stance): MatchUp => (trainee === holder ? 'closed' : 'open');

/** Where the lead foot goes, by match-up. */
export const footLaneRule: Record<MatchUp, { question: string; clean: string }> = {
  open: {
    question: 'Opposite leads: is the lead foot outside of the partner’s?',
    clean: 'Outside of the partner’s lead foot, toes past theirs.',
  },
  closed: {
    question: 'Same leads: does the lead foot go straight in, or between the feet?',
    clean: 'On its own rail or between the partner’s feet, never across.',
  },
};
