import type { Role } from '@wax-fist/contract/endpoint';

/** Who somebody is in the club, in words. */
export const roleNames: Readonly<Record<Role, string>> = {
  'head-coach': 'Head coach',
  coach: 'Coach',
  assistant: 'Assistant',
  trainee: 'Trainee',
  guardian: 'Guardian',
};
/** What each may do, for whoever chooses. */
export const roleSays: Readonly<Record<Role, string>> = {
  'head-coach': 'everything, and what holds for the whole club',
  coach: 'films, judges, corrects, plans and releases',
  assistant: 'films and marks; a coach marks a second time',
  trainee: 'sees what was released, trains their plan',
  guardian: 'sees the same of their children',
};
