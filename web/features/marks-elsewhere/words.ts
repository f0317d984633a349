import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “marks elsewhere”. A part in braces is a slot of TextWith. */
export const marksElsewhereWords = {
  filesOfMarksThatWait: 'Files of marks that wait for their film',
  waitsForTheFilmOf: '{name} waits for the film of its name; then it is read in from there.',
  letGoOf: (name: Told) => `Let go of ${name}`,
  letGoOfIt: 'Let go of it',
  fileCsvWebvttSubripOr: 'File (CSV, WebVTT, SubRip or JSON-LD)',
  strikes: (strikes: number) => counted(strikes, 'strike'),
  verdicts: (verdicts: number) => counted(verdicts, 'verdict'),
  strikeOfThemTheFilm: (here: number) => `; ${counted(here, 'strike')} of them the film has already`,
  withAllThatIsSaid: ', with all that is said of them',
  rowCannotBeRead: (problems: number) => `${counted(problems, 'row')} cannot be read`,
  row: 'Row',
  no: 'No.',
  andMore: (problems: Told) => `and ${problems} more`,
  readIn: 'Read in.',
  toTheBench: 'To the bench',
  readInTheRest: 'Read in the rest',
  readThemIn: 'Read them in',
  marksMadeElsewhere: 'Marks made elsewhere',
  secondsOrClock: 'Seconds, or 1:02.5',
  milliseconds: 'Milliseconds',
  timesAreIn: 'Times are in',
  notRead: 'not read',
  columnWhat: (what: Told) => `Column ${what}`,
  isTooLargeToBe: (name: Told) => `${name} is too large to be a file of marks.`,
  markWereNotTaken: (refused: number, what: Told) => `${counted(refused, 'mark')} were not taken: ${what}`,
  readInStrikes: (strikes: Told) => `${strikes} read in.`,
};
