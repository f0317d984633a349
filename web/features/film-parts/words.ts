import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “film parts”. A part in braces is a slot of TextWith. */
export const filmPartsWords = {
  personSeemToTakeTurns: (people: number) => `${counted(people, 'person', 'people')} seem to take turns here, by what they wear.`,
  cutIntoTheirFilms: 'Cut into their films',
  severalTraineesInThisFilm: 'Several trainees in this film?',
  whoseRoundsAreThese: 'Whose rounds are these?',
  cutTheFilm: 'Cut the film',
  eachTurnBecomesAFilm:
    'Each turn becomes a film of its own, in that trainee’s session of the day. The whole, which shows all of them, is removed and can be put back for a day.',
  look: 'Look',
  whoWorksIn: (name: Told) => `Who works in ${name}`,
  nobodyLeaveItOut: 'Nobody: leave it out',
  cutIntoFilmEachIn: (made: number) =>
    `Cut into ${counted(made, 'film')}, each in the session of whoever is in it. The whole can be put back for a day.`,
  sayOfEachRoundWhose: 'Say of each round whose it is, or leave it out.',
  itIsAllOfOne: 'It is all of one: there is nothing to cut.',
};
