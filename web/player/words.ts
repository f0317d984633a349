import type { Told } from '../app/told.ts';

/** What is said by “player”. A part in braces is a slot of TextWith. */
export const playerWords = {
  frameShown: (shown: Told) => `Frame ${shown}`,
  theTimesAsLarge: (name: Told, times: Told) => `The ${name}, ${times} times as large`,
  thisFilmHasNoPicture: 'This film has no picture.',
  noFrameIsShownAt: (time: Told) => `No frame is shown at ${time} ms.`,
  frameCannotBeFound: (index: Told) => `Frame ${index} cannot be found.`,
  anotherFrameCameInsteadOf: (index: Told) => `Another frame came instead of ${index}.`,
  theFilmCannotBePlayed: 'The film cannot be played.',
  frameDidNotCome: (index: Told) => `Frame ${index} did not come.`,
  thePictureCouldNotBe: (error: Told) => `The picture could not be shown: ${error}`,
  theBrowserDidNotLet: 'The browser did not let the film play.',
};
