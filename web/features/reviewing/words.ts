import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “reviewing”. A part in braces is a slot of TextWith. */
export const reviewingWords = {
  howWeReview: 'How we review',
  whatItCosts: 'What it costs',
  lastFourWeeks: 'Last four weeks: {place}.',
  nothingWasReviewedInThe: 'Nothing was reviewed in the last twelve weeks. What is done at the bench is counted here.',
  doWeReadRowsAlike: 'Do we read rows alike?',
  twoCoachesMarkTheSame:
    'Two coaches mark the same strikes without seeing what the other said. Beyond chance 0 is as good as guessing and 1 never differs; the dotted line, 0.6, is good enough. Strikes of one film are alike, so bands are wider than their number.',
  unclearUnclear: (unclear: number) => `${counted(unclear, 'row reads', 'rows read')} unclear.`,
  row: 'Row',
  bothJudged: 'Both judged',
  theSame: 'The same',
  beyondChance: 'Beyond chance',
  itsWordsAre: 'Its words are',
  noFilmHasBeenMarked:
    'No film has been marked twice. On a session’s page, ask another coach to mark one of its films as well: twenty strikes are a good beginning.',
  theSameInIntervalTo: (same: Told, low: Told, high: Told) => `the same in ${same}, 90% interval ${low} to ${high}`,
  weightedKappa: 'Weighted kappa',
  kappaInterval: (kappa: Told, interval: Told) => `kappa ${kappa}, 90% interval ${interval}`,
  bothAlwaysSaidTheSame: 'both always said the same',
  strikeOnlyOneCouldSee: (seenByOne: number) => `${counted(seenByOne, 'strike')} only one could see`,
  hideThem: 'Hide them',
  lookAtThem: (strikes: number) => (strikes === 1 ? 'Look at it' : `Look at the ${strikes}`),
  mostOftenAgainst: (first: Told, second: Told) => `most often ${first} against ${second}`,
  toLow: (low: Told, high: Told) => `${low} to ${high}`,
  haveItMarkedASecond: 'Have it marked a second time',
  ask: 'Ask',
  anotherCoachJudgesTheSame:
    'Another coach judges the same strikes without seeing any verdict, yours or a measure’s. What they say changes no rate: it shows which rows you both read alike.',
  who: 'Who?',
  nobody: 'Nobody',
  youAreTheOnlyCoach: 'You are the only coach here.',
  itWaitsForUnderToday: (name: Told) => `It waits for ${name} under Today.`,
  nobodyIsAskedAnyMore: 'Nobody is asked any more.',
};
