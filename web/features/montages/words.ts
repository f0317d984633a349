import type { Told } from '../../app/told.ts';

/** What is said by “montages”. A part in braces is a slot of TextWith. */
export const montagesWords = {
  whichStrikes: 'Which strikes',
  theStrikeBefore: 'The strike before',
  stayAtThisOne: 'Stay at this one',
  goOn: 'Go on',
  theNextStrike: 'The next strike',
  atTheBench: 'At the bench',
  ofPlace: (place: Told, pieces: Told, label: Told) => `${place} of ${pieces} · ${label}`,
  noStrikeOfThisSession: 'No strike of this session is a fault in this.',
  noStrikeOfThisSessionIs: 'No strike of this session is clean in this.',
  thereIsNothingToHold: 'There is nothing to hold it against: it was not worked on in an earlier session, from the same view.',
  downloadTheFilm: 'Download the film',
  theFilmIsBeingWritten: 'The film is being written',
  asAFilm: 'As a film',
};
