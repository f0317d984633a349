import type { Told } from '../../app/told.ts';

/** What is said by “removals”. A part in braces is a slot of TextWith. */
export const removalsWords = {
  removeName: (name: Told) => `Remove ${name}`,
  removeAskedName: (name: Told) => `Remove ${name}?`,
  forADayItCan: (goes: Told) =>
    `${goes} For a day it can be put back, with everything; then it is gone for good, from the disk as well.`,
  keepIt: 'Keep it',
  removeIt: 'Remove it',
  removed: 'Removed',
  whatWasRemovedStaysHere: 'What was removed stays here for a day, with everything that belongs to it. Then it is gone for good.',
  nothingWasRemovedToday: 'Nothing was removed today.',
  removedByStaysUntil: (kindNames: Told, removedAt: Told, by: Told, endsAt: Told) =>
    `${kindNames}, removed ${removedAt} by ${by}; stays until ${endsAt}`,
  putBack: (says: Told) => `Put back: ${says}`,
  isBack: (says: Told) => `${says} is back.`,
  putItBack: 'Put back',
  forGood: (says: Told) => `For good: ${says}`,
  goneForGood: 'For good',
  removeForGood: (says: Told) => `Remove ${says} for good?`,
  filmsMarksAndAllThat: 'Films, marks and all that was made of them are deleted now. This cannot be undone.',
  leaveItHere: 'Leave it here',
  trainee: 'Trainee',
  session: 'Session',
  film: 'Film',
  isGoneForGood: (says: Told) => `${says} is gone for good.`,
  isRemovedForADay: (says: Told) => `${says} is removed. For a day it can be put back.`,
};
