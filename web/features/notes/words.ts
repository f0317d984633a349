import type { Told } from '../../app/told.ts';

/** What is said by “notes”. A part in braces is a slot of TextWith. */
export const notesWords = {
  note: 'Note',
  stop: 'Stop',
  forgetWhatWasSpoken: 'Forget what was spoken',
  speak: 'Speak',
  keep: 'Keep',
  spokenBy: (saidBy: Told) => `Spoken by ${saidBy}`,
  takeThisNoteAway: 'Take this note away',
  notes: 'Notes',
  notesOnThisStrike: 'Notes on this strike',
  backToTheBench: 'Back to the bench',
  thisBrowserCannotRecordType: 'This browser cannot record. Type the note.',
  theMicrophoneIsNotThere: 'The microphone is not there, or this page may not use it. Type the note.',
};
