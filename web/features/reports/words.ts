import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “reports”. A part in braces is a slot of TextWith. */
export const reportsWords = {
  theTrainee: 'The trainee',
  from: 'From',
  to: 'To',
  reportsOfAClass: 'Reports of a class',
  everybodyWhoTrainedOnA: 'Everybody who trained on a day, as one PDF: a report each, one behind the other.',
  nobodyHasTrainedYetAdd: 'Nobody has trained yet. Add a session to a trainee; then its report is here.',
  theDayBeforeThatSomebody: 'The day before that somebody trained',
  day: 'Day',
  theDayAfterThatSomebody: 'The day after that somebody trained',
  aPdfHoldsReportsChoose: (mostAtOnce: Told) => `A PDF holds ${mostAtOnce} reports. Choose fewer.`,
  nobodyTrainedOnThisDay: 'Nobody trained on this day.',
  itsReport: 'Its report',
  nothingWasFilmed: 'nothing was filmed',
  filmNothingJudgedYet: (films: number) => `${counted(films, 'film')}, nothing judged yet`,
  ofFilmDoneVerdict: (filmsDone: Told, films: number, judged: number) =>
    `${filmsDone} of ${counted(films, 'film')} done, ${counted(judged, 'verdict')}`,
  paper: 'Paper',
  pdf: 'PDF',
  print: 'Print',
  checkpoint: 'Checkpoint',
  faultsOfSeen: 'Faults of seen',
  rateInterval: 'Rate, 90% interval',
  overSessions: (level: Told) => `over sessions ${level}`,
  madeOn: (madeOn: Told) => `Made on ${madeOn}`,
  theSession: 'The session',
};
