/** Where the camera stands, seen from the trainee. */
export const views = ['front', 'rear', 'lead-side', 'rear-side', 'quarter'] as const;
export type View = (typeof views)[number];

/** In words. */
export const viewNames: Record<View, string> = {
  front: 'Front',
  rear: 'Rear',
  'lead-side': 'Lead side',
  'rear-side': 'Rear side',
  quarter: 'Quarter',
};

const oneOf = new Intl.ListFormat('en-GB', { type: 'disjunction' });
/** Where one may film from, in words within a sentence: “lead side, rear side or quarter”. */
export const viewsInWords = (list: readonly View[]): string => oneOf.format(list.map((view) => viewNames[view].toLowerCase()));

/** The two views across the line of attack. */
export const sides: readonly View[] = ['lead-side', 'rear-side'];
/** Along the line between trainee and target. */
export const across: readonly View[] = ['front', 'rear'];

/** Where a camera of each view usually stands: degrees round an orthodox trainee, 0 in front, positive towards the lead side. In front of a bag means beside it. */
export const turnOfView: Readonly<Record<View, number>> = {
  front: -31,
  quarter: -52,
  'lead-side': 88,
  'rear-side': -88,
  rear: 160,
};
