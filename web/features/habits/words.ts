import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “habits”. A part in braces is a slot of TextWith. */
export const habitsWords = {
  habitsOverSessions: 'Habits over sessions',
  whatAPartnerCouldHave:
    'What a partner could have read in any of the last sessions: what is chosen again and again, what moves before a strike sets out, what falls with a kick. How often it was done in each, with its 90% interval. Whether one has changed is answered as for corrections: from all sessions, allowing for how much days differ anyway.',
  habitsShowOnceStrikesOf: (fewest: Told, name: Told) =>
    `Habits show once ${fewest} strikes of a session are tagged. Review a film of ${name}; then look here again.`,
  inSessionThereWasNothing: (enough: number) =>
    `In ${counted(enough, 'session')} there was nothing that a partner could surely read.`,
  habit: 'Habit',
  changed: 'Changed',
  ofTimes: (times: Told, what: Told) => `${times} of ${what}`,
  couldNotBeDone: 'could not be done',
  thanOn: 'than on',
  since: 'since',
  oneSession: 'one session',
  whatIsChosenLeavesOut: (called: number) =>
    `What is chosen leaves out ${counted(called, 'strike')} of rounds that were called: they say what was called.`,
  habits: 'Habits',
  overSessions: 'Over sessions',
  combinationOfARoundThat: (combinations: number, lengths: Told) =>
    `${counted(combinations, 'combination')}: ${lengths}. Of a round that was called they say what was called.`,
  look: 'Look',
  nothingThatAPartnerCould: 'Nothing that a partner could surely read.',
  whatFollowsWhat: 'What follows what',
  after: 'After',
  whatMovesBeforeItSets: 'What moves before it sets out',
  before: 'Before',
  nothingMovesBeforeStrikesMore: 'Nothing moves before strikes more often than at other times, as far as bodies were followed.',
  singleStrikes: (times: number) => counted(times, 'single strike'),
  aboutPart: (part: Told, move: Told) => `${part}, about ${move}`,
};
