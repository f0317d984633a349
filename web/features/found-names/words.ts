import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “found names”. A part in braces is a slot of TextWith. */
export const foundNamesWords = {
  namesFound: 'Names found',
  earAndEyeFindStrikes:
    'Ear and eye find strikes and name them before anybody looks. This is what coaches made of those names. A name that was taken over unseen counts as kept, so what is surest looks a little better here than it is.',
  changedNamesCsv: 'Changed names (CSV)',
  noStrikeThatWasFound:
    'No strike that was found and named has been tagged yet. Open a film whose bodies were followed, and take its names over.',
  ofNameKeptInFilm: (strikes: number, films: number, missed: Told, tagged: number) =>
    `{kept} of ${counted(strikes, 'name')} kept, in ${counted(films, 'film')}; ${missed} of ${counted(tagged, 'tag')} had not been found.`,
  foundAs: 'Found as',
  kept: 'Kept',
  wasInstead: 'Was instead',
  ofKept: (kept: Told, strikes: Told) => `${kept} of ${strikes}`,
  areNamesAsSureAs: 'Are names as sure as they claim?',
  claimed: 'Claimed',
  onAverage: 'On average',
  ofStrikes: (strikes: Told) => `of ${strikes}`,
  taggedAndNotFound: 'Tagged and not found',
  lessThan: (to: Told) => `less than ${to}`,
  andMore: (from: Told) => `${from} and more`,
  toFrom: (from: Told, to: Told) => `${from} to ${to}`,
};
