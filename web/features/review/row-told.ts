import { proposalFor, type Proposal } from '@wax-fist/core/measure';
import { verdictNames } from '@wax-fist/core/review';
import { lengthInWords } from '@wax-fist/core/setup';
import { measures } from '@wax-fist/core/technique';
import { measuredInWords } from '../checklists/measured-words.ts';
import { opponentOf, statureOf, type WhoIsInIt } from '../measures/stature-of.ts';
import type { WalkLine } from './use-walk.ts';
import { reviewWords as words } from './words.ts';

const verdictIn = (proposal: Proposal | undefined): string | undefined =>
  proposal?.verdict && verdictNames[proposal.verdict].toLowerCase();

/** What is measured of a row and proposed, or why it is not. */
export function measuredOf({ checkpoint, measured, proposal, reported, band }: WalkLine, session: WhoIsInIt): string {
  if (!measured) return '';
  if (measured.value === undefined) return measured.reason;
  if (!band) return '';
  if (reported) return words.toldOnlyNoFaultIn;
  const verdict = verdictIn(proposal);
  const proposed = verdict ? words.proposedVerdictNames(verdict) : words.tooCloseToCall;
  return `${measuredInWords(checkpoint.measure, measured, statureOf(session, checkpoint.id))}, ${proposed}`;
}

/** What is told beside it hangs no verdict on itself: the one that it would have is only a word. */
export function besideOf({ checkpoint, beside }: WalkLine, session: WhoIsInIt): string | undefined {
  if (!beside) return undefined;
  const { measure, value } = beside;
  const { name, band } = measures[measure];
  return words.besides(
    name,
    measuredInWords(measure, value, statureOf(session, checkpoint.id)),
    verdictIn(band && proposalFor(band, value)),
  );
}

/** Where it may land hangs on how tall the other one is. */
export function opponentIn({ checkpoint }: WalkLine, session: WhoIsInIt): string | undefined {
  const { holder } = session;
  if (checkpoint.measure !== 'target-height' || !holder?.stature || opponentOf(session) === undefined) return undefined;
  return words.onSomebodyAsTall(holder.name, lengthInWords(holder.stature));
}
