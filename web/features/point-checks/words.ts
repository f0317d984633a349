import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “point checks”. A part in braces is a slot of TextWith. */
export const pointChecksWords = {
  aBodyWhereIsThe: (name: Told) => `A body; where is the ${name}?`,
  nobodyWasFollowedInA:
    'Nobody was followed in a film yet, so there are no points to check. Add a film, and come back when it was measured.',
  points: (said: number) => counted(said, 'point'),
  takenBack: 'taken back',
  lookedAt: 'looked at',
  pointsOfYourFilmsAre: (low: Told, high: Told, checks: number) =>
    `Points of your films are off by {wider} what trials say of them, likely between ${low} and ${high}, by ${counted(checks, 'point')} that were checked. Every measure is doubted by as much from now on; strikes are measured anew when they are looked at.`,
  seeWhatWasLearned: 'See what was learned',
  twentyMore: 'Twenty more',
  takeTheseBack: 'Take these back',
  pointsChecked: 'Points checked',
  everythingMeasuredStandsOn:
    'Everything measured stands on points of the body that a model finds. How far it is off was tried on simulated films; real gyms are harder. Point out twenty points now and then, chosen at random, and doubt becomes what it is here.',
  checkTwentyPoints: 'Check twenty points',
  doubtedAsWideAsIn: 'Doubted {all} as wide as in trials: nothing was checked yet, and so much is assumed.',
  otherCouldNotBeSeen: (hidden: number) => `; ${counted(hidden, 'other')} could not be seen`,
  offByWhatTrialsSay: (low: Told, high: Told, checks: number) =>
    `Off by {wider} what trials say, likely ${low} to ${high}, by ${counted(checks, 'point')}{hidden}.`,
  youAreShownABody:
    'You are shown a body, and asked where one of its points is, such as the left wrist. What was found is not shown.',
  twentyOfThemTakeTwo: 'Twenty of them take two minutes. Where you cannot tell, you say so.',
  howFarTheModelWas: 'How far the model was off widens or narrows the doubt of everything that is measured in this club.',
  nobodyWasFollowedInAFilm: 'Nobody was followed in a film yet, so there are no points to check.',
  part: 'Part',
  notChecked: 'not checked',
  kindsThatWereCheckedBut:
    'Kinds that were checked but a few times are drawn towards all of them. Nothing is doubted less than in trials.',
  ofAt: (at: Told, asked: Told) => `${at} of ${asked}`,
  whereIsThe: (name: Told) => `Where is the ${name}?`,
  clickOnTheMiddleOf: 'Click on the middle of it. Arrows move the cross by a pixel, with Shift by eight.',
  hereNext: 'Here, next',
  cantBeSeen: 'Can’t be seen',
  theOneBefore: 'The one before',
  leave: 'Leave',
  whatTheModelFoundIs:
    'What the model found is not shown, so that nobody is led by it. Where you cannot tell, say that it can’t be seen: a guess would be counted as a fault of the model.',
  checkingPoints: 'Checking points',
  itIsHereNextOne: 'It is here, next one',
  itCannotBeSeen: 'It cannot be seen',
  onePixel: (way: Told) => `One pixel ${way}`,
  eightPixels: (way: Told) => `Eight pixels ${way}`,
};
