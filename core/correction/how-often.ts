/** How often a drill is done between two sessions, the most often first. */
export const frequencies = ['every-day', 'every-session', 'three-a-week', 'two-a-week', 'one-a-week'] as const;
export type Frequency = (typeof frequencies)[number];

/** In words. */
export const frequencyNames: Readonly<Record<Frequency, string>> = {
  'every-day': 'every day',
  'every-session': 'in every session',
  'three-a-week': 'three times a week',
  'two-a-week': 'twice a week',
  'one-a-week': 'once a week',
};
