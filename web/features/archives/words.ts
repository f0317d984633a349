import type { Told } from '../../app/told.ts';

/** What is said by “archives”. A part in braces is a slot of TextWith. */
export const archivesWords = {
  theWholeClub: 'The whole club',
  madeProgress: (progress: Told) => `Made: ${progress}`,
  download: 'Download',
  wholeClubInASentence: 'the whole club',
  removeTheArchiveOf: (name: Told) => `Remove the archive of ${name}`,
  archivesAndBackups: 'Archives and backups',
  makeOne: 'Make one',
  oneZipWithFilmsMarks:
    'One zip with films, marks, corrections, checklists, schools and call books, in open formats. It holds films of people: give it only to whom they have agreed to.',
  ofWhom: 'Of whom',
  makeIt: 'Make it',
  readOneIn: 'Read one in',
  itIsLookedThroughFirst: 'It is looked through first. Nothing is written before you say so; then all of it is, or nothing.',
  archiveZip: 'Archive (zip)',
  sendingSent: (sent: Told) => `Sending: ${sent}`,
  readingItIn: 'Reading it in',
  lookingThroughIt: 'Looking through it',
  whereSomethingIsHereAlready: 'Where something is here already and differs, take it from the archive',
  readItIn: 'Read it in',
  itIsReadIn: 'It is read in.',
  everythingInItIsHere: 'Everything in it is here already.',
  whatWouldHappen: 'What would happen',
  whatHappened: 'What happened',
  added: 'added',
  changed: 'changed',
  theSameHere: 'the same here',
  refused: 'refused',
  whySomeAreRefused: 'Why some are refused',
};
