/** The five families of what a coach looks at in a strike, in the order of the walk. */
export const strikeFamilies = ['stance', 'pivot', 'guard', 'strike', 'exit'] as const;
/** Two more are for whole rounds and for whoever holds the pads. */
export const families = [...strikeFamilies, 'rhythm', 'holding'] as const;
export type StrikeFamily = (typeof strikeFamilies)[number];
export type Family = (typeof families)[number];

/** In words. */
export const familyNames: Record<Family, string> = {
  stance: 'Stance',
  pivot: 'Pivot',
  guard: 'Guard',
  strike: 'Strike',
  exit: 'Exit',
  rhythm: 'Rhythm',
  holding: 'Holding',
};

/** What a fault costs. Injury comes before everything; the others are weighed by their class. */
export const severities = ['injury', 'exposure', 'base', 'power', 'polish'] as const;
export type Severity = (typeof severities)[number];

/** In words. */
export const severityNames: Record<Severity, string> = {
  injury: 'Can hurt',
  exposure: 'Gets hit',
  base: 'Balance',
  power: 'Power',
  polish: 'Polish',
};

/** Where on the body the eye is, in walking order: feet first, what comes after last, the holder apart. */
export const walkStops = ['feet', 'hips', 'leg', 'striking hand', 'other hand', 'head', 'after', 'round', 'holder'] as const;
export type WalkStop = (typeof walkStops)[number];
