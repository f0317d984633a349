import type { Told } from '../../app/told.ts';

/** What is said by “second factor”. A part in braces is a slot of TextWith. */
export const secondFactorWords = {
  code: 'Code',
  codesForWhenTheApp: 'Codes for when the app is lost',
  keepTheseWhereYourPhone: 'Keep these where your phone is not.',
  ifTheAppIsLost: '{part} If the app is lost, each of them lets you in once. They are not shown again.',
  saveAsAFile: 'Save as a file',
  iHaveThem: 'I have them',
  waxFistCodesForWhen: (codes: Told) => `Wax Fist: codes for when the app is lost, each good for once

${codes}
`,
  secondFactor: 'Second factor',
  sinceACodeOfYour: (since: Told, codesLeft: Told) =>
    `Since ${since} a code of your app is asked for besides the password. For when the app is lost there are ${codesLeft} left.`,
  leaveIt: 'Leave it',
  yourClubAsksForIt: 'Your club asks for it.',
  leaveTheSecondFactor: 'Leave the second factor',
  yourClubAsksForA: 'Your club asks for a second factor. Set it up here, then go on.',
  whoeverLearnsYourPasswordGets:
    'Whoever learns your password gets in. With a second factor they would need your phone as well: an app on it shows a code that is another one every half minute.',
  goOn: 'Go on',
  setItUp: 'Set it up',
  yourPasswordAloneLetsYou: 'Your password alone lets you in again.',
  oneCode: 'one code',
  codesMany: (many: Told) => `${many} codes`,
  yourPassword: 'Your password',
  notNow: 'Not now',
  yourPasswordIsNeeded: 'Your password is needed.',
  secondFactorDemandedOf: 'Second factor: demanded of',
  theyCanDoNothingElse: 'They can do nothing else here until they have set one up. To everybody else it is offered.',
  aSecondFactorIsOffered: 'A second factor is offered, and demanded of nobody.',
  whoHasNoneYetIs: 'Who has none yet is asked at once.',
  theSecretForYourApp: 'The secret for your app, as a square code',
  letAnAppForOne: 'Let an app for one-time codes look at this square. No camera? Type {code} into it.',
  theCodeThatItShows: 'The code that it shows now',
  takeIt: 'Take it',
  theSixDigitsThatThe: 'The six digits that the app shows.',
};
