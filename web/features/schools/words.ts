import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “schools”. A part in braces is a slot of TextWith. */
export const schoolsWords = {
  nothingThatIsJudged: 'Nothing that is judged.',
  techniquesTechniques: (techniques: Told) => `${techniques} techniques`,
  schools: 'Schools',
  whereGoodCoachesDifferA: 'Where good coaches differ. A review keeps the school by which it was made.',
  theClubs: (name: Told) => `${name} (the club’s)`,
  school: 'School',
  name: 'Name',
  switches: 'Switches',
  numbers: 'Numbers',
  whichBookIsCountedBy: '{field} Which book is counted by?',
  saveThisSchool: 'Save this school',
  leaveIt: 'Leave it',
  theHeadCoachSaysBy: 'The head coach says by which school the club goes.',
  makeItTheClubs: 'Make it the club’s',
  change: 'Change',
  copyAndChange: 'Copy and change',
  removeThisSchool: 'Remove this school',
  whatWouldChange: 'What would change',
  theClubGoesByThis: 'The club goes by this one. New sessions are judged by it; trainees may have another.',
  asItIs: ' as it is',
  whichTheClubGoesBy: ', which the club goes by',
  againstChange: (name: Told, draft: Told, differences: number) => `Against ${name}${draft}: ${counted(differences, 'change')}.`,
  aFaultInEverySchool: 'A fault in every school',
  ourWay: (name: Told) => `${name}, our way`,
  isSavedSessionsThatWere: (name: Told) => `${name} is saved. Sessions that were judged before keep their school.`,
  theClubGoesByNow: (name: Told) => `The club goes by ${name} now.`,
  isRemoved: (name: Told) => `${name} is removed.`,
};
