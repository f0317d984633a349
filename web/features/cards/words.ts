import type { Told } from '../../app/told.ts';

/** What is said by “cards”. A part in braces is a slot of TextWith. */
export const cardsWords = {
  whoeverHasThisLinkSees: (endsOn: Told) => `Whoever has this link sees the card, until ${endsOn}:`,
  copy: 'Copy',
  withdraw: 'Withdraw',
  linkForTheTrainee: 'Link for the trainee',
  theLinkIsWithdrawnNobody: 'The link is withdrawn: nobody gets in by it any more.',
  theLinkIsCopied: 'The link is copied.',
  thisBrowserDoesNotLet: 'This browser does not let pages copy. Mark the link and copy it by hand.',
  drill: 'Drill',
  noStrikeIsMarkedFor: 'No strike is marked for this yet, so there is no picture.',
  lastCounted: 'Last counted',
  aim: 'Aim',
  orFewerFaults: 'or fewer faults',
  weLookAgain: 'We look again',
  notSet: 'not set',
  madeOn: (madeOn: Told) => `made on ${madeOn}`,
  aFrameBack: 'A frame back',
  aFrameOn: 'A frame on',
  anotherStrike: 'Another strike',
  asItIsJudged: 'as it is judged',
  whereItLeavesTheClean: 'where it leaves the clean one',
  halfWayLookYourself: 'half way: look yourself',
  setByYou: 'set by you',
};
