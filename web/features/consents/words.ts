import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “consents”. A part in braces is a slot of TextWith. */
export const consentsWords = {
  filmOnlyWhoHasAgreed: (word: Told) => `${word} Film only who has agreed.`,
  askNow: 'Ask now',
  aGuardianOf: 'a guardian of ',
  mayNotBeFilmedAny: (name: Told) => `${name} may not be filmed any more.`,
  nobodyHasAskedYet: (whose: Told, name: Told) => `Nobody has asked ${whose}${name} yet.`,
  mayBeFilmed: (name: Told) => `May ${name} be filmed?`,
  theyAgree: 'They agree',
  sayItAloudFilmsAre:
    'Say it aloud: films are kept by the club, looked at strike by strike, and gone within a minute when the consent is taken back; what was counted stays, without pictures.',
  guardianWhoAgrees: 'Guardian who agrees',
  whoAgrees: 'Who agrees',
  asAGuardian: 'As a guardian',
  whoMaySeeIt: 'Who may see it',
  mayBeShownToOthers: 'May be shown to others as how it is done, or not done',
  untilOpenUntilItIs: 'Until (open: until it is taken back)',
  noteWhereTheSignedSheet: 'Note (where the signed sheet lies)',
  mayBeFilmedName: (name: Told) => `${name} may be filmed.`,
  askAnew: 'Ask anew',
  takenBack: 'Taken back',
  theConsentIsTakenBack: 'The consent is taken back',
  takesTheConsentBack: (name: Told) => `${name} takes the consent back?`,
  everyFilmInWhichTrains: (name: Told) =>
    `Every film in which ${name} trains or holds, with its stills, points, montages and archives, is gone from this server for good. Strikes, verdicts and counts stay, without pictures. Archives that somebody has downloaded cannot be reached.`,
  leaveIt: 'Leave it',
  takeItBackRemoveThe: 'Take it back, remove the films',
  mayBeShownAsHow: ', may be shown as how it is done',
  untilUntil: (until: Told) => `, until ${until}`,
  mayBeFilmedSinceSeen: (givenOn: Told, end: Told, seenByNames: Told, shown: Told) =>
    `May be filmed since ${givenOn}${end}; seen by ${seenByNames}${shown}.`,
  takenBackWithFilms: (films: number) =>
    `Taken back: ${counted(films, 'film and everything made of it is', 'films and everything made of them are')} gone; what was counted stays.`,
};
