/** What is said by “journal”. A part in braces is a slot of TextWith. */
export const journalWords = {
  journal: 'Journal',
  whoSawAndChangedWhat:
    'Who saw and changed what. Nobody can change it; marks and verdicts have a history of their own at every strike.',
  asATable: 'As a table',
  who: 'Who',
  did: 'Did',
  aboutWhom: 'About whom',
  from: 'From',
  to: 'To',
  somebodyWhoIsGone: 'somebody who is gone',
  whoeverHadTheLink: 'whoever had the link',
  somebodyWhoWasRemoved: 'somebody who was removed',
  of: ' of {link}',
  nothingOfThatKindWas: 'Nothing of that kind was done.',
};
