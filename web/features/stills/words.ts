import type { Told } from '../../app/told.ts';

/** What is said by “stills”. A part in braces is a slot of TextWith. */
export const stillsWords = {
  howItShouldLook: 'How it should look',
  renderedExample: (names: Told) => `${names}: rendered example`,
  noPictureYet: 'No picture yet.',
  fromOurOwnFootage: ', from our own footage',
  rendered: ', rendered',
  stop: 'Stop',
  playTheStrike: 'Play the strike',
  takeTheFrameOnShow: 'Take the frame on show',
  asItShips: 'As it ships',
  putTheReferenceAway: 'Put the reference away',
  frame: 'frame',
  strike: 'strike',
  thisIsShownFromNow: (fromFrame: Told) => `This ${fromFrame} is shown from now on, to the whole club.`,
  theRenderedExampleIsShown: 'The rendered example is shown again.',
  so: 'So',
  notSo: 'Not so',
  onlyWhatThisIsAbout: 'Only what this is about',
  theWholeFigure: 'The whole figure',
};
