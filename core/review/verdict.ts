/** What a coach says of a checkpoint. “Can't see” never counts as clean. */
export const verdicts = ['clean', 'watch', 'fault', 'cant-see'] as const;
export type Verdict = (typeof verdicts)[number];

/** What two coaches can agree on: a thing that one of them could not see was not judged by both. */
export const agreedVerdicts = ['clean', 'watch', 'fault'] as const satisfies readonly Verdict[];

/** In words. */
export const verdictNames: Record<Verdict, string> = {
  clean: 'Clean',
  watch: 'Watch',
  fault: 'Fault',
  'cant-see': 'Can’t see',
};

/** What weighs most when several are given: a fault before a watch, and “can't see” only when nothing else was said. */
const byWeight: readonly Verdict[] = ['fault', 'watch', 'clean', 'cant-see'];

/** The verdict that a sign shows for all of them; undefined when there is none. */
export const gravest = (given: readonly Verdict[]): Verdict | undefined => byWeight.find((verdict) => given.includes(verdict));
