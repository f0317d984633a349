/** What may move before a strike sets out: the hips, the head over them, and the hand of the side that strikes under its shoulder. */
export const movingParts = ['weight', 'head', 'hand'] as const;
export type MovingPart = (typeof movingParts)[number];
