import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “today”. A part in braces is a slot of TextWith. */
export const todayWords = {
  markedByAnAssistant: 'Marked by an assistant',
  judgeTheSameStrikesWithout:
    'Judge the same strikes without seeing what was said. It shows which rows the assistant reads as you do.',
  strikes: (strikes: number) => counted(strikes, 'strike'),
  lookAtIt: 'Look at it',
  markItBlind: 'Mark it blind',
  onTheFloorToday: 'On the floor today',
  parts: (parts: number) => counted(parts, 'part'),
  done: 'done',
  toTheFloor: 'To the floor',
  footageToReview: 'Footage to review',
  aCorrectionWaitsForIt: ': a correction waits for it',
  chooseATrainee: 'choose a trainee',
  everyFilmIsReviewedNew:
    'Every film is reviewed. New footage goes in on a session’s page: {link}, open or add a session, drop the films there.',
  askedOfYou: 'Asked of you',
  judgeTheSameStrikesWithoutSeeing: 'Judge the same strikes without seeing what was said: it shows which rows we read alike.',
  correctionsDue: 'Corrections due',
  seeTheAnswer: 'See the answer',
  noReCheckIsDue: 'No re-check is due today.',
  openForLater: 'Open, for later',
  itCameBack: 'it came back',
  itCanHurt: 'it can hurt',
  itHasWaited: 'it has waited',
  stillHolding: 'still holding?',
  andMore: ' and more',
  filmToReview: (count: number, hasMore: Told) => `${counted(count, 'film')}${hasMore} to review`,
  correctionDue: (due: number) => `${counted(due, 'correction')} due`,
  filmToMarkASecond: (blind: number) => `${counted(blind, 'film')} to mark a second time`,
  nothingWaits: 'Nothing waits.',
};
