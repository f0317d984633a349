/** The three stills of a card: how it is, the frame where it turns wrong, and how it should be. */
export const stillRoles = ['is', 'turns', 'should'] as const;
export type StillRole = (typeof stillRoles)[number];

/** In words. */
export const stillRoleNames: Readonly<Record<StillRole, string>> = {
  is: 'Not like this',
  turns: 'Here it turns wrong',
  should: 'Like this',
};
