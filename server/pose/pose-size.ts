/** How thoroughly is looked: each takes about three times as long as the one before. */
export const poseSizes = ['lite', 'full', 'heavy'] as const;
export type PoseSize = (typeof poseSizes)[number];
