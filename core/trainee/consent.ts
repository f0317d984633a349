import type { AgeGroup } from './index.ts';

/** Who may see somebody filmed: each more than the one before. */
export const seenByWhom = ['coaches', 'club', 'anyone'] as const;
export type SeenBy = (typeof seenByWhom)[number];
/** In words. */
export const seenByNames: Record<SeenBy, string> = {
  coaches: 'The coaches, and themselves',
  club: 'Everybody of the club',
  anyone: 'Whoever has a link',
};

/** To whom a review is given: each to more than the one before. */
export const releasedToWhom = ['coaches', 'themselves', 'club'] as const;
export type ReleasedTo = (typeof releasedToWhom)[number];

/** Somebody’s word that they may be filmed. */
export interface Consent {
  id: string;
  seenBy: SeenBy;
  /** Whether they may be shown to others as how it is done, or not done. */
  asReference: boolean;
  /** YYYY-MM-DD. */
  givenOn: string;
  /** The last day; null until it is withdrawn. */
  until: string | null;
  withdrawnOn: string | null;
}

/** For whom a guardian speaks. */
export const needsGuardian = (ageGroup: AgeGroup | null): boolean => ageGroup === 'child' || ageGroup === 'youth';

/** The word that counts on a day: the last one given, if it has neither ended nor been withdrawn. */
export function consentOn<One extends Consent>(consents: readonly One[], day: string): One | undefined {
  const last = consents
    .filter(({ givenOn }) => givenOn <= day)
    .toSorted((a, b) => (a.givenOn === b.givenOn ? (a.id < b.id ? -1 : 1) : a.givenOn < b.givenOn ? -1 : 1))
    .at(-1);
  return last?.withdrawnOn === null && (last.until ?? day) >= day ? last : undefined;
}

/** Whether so many may see somebody. */
export const maySee = (consent: Consent | undefined, wanted: SeenBy): boolean =>
  consent !== undefined && seenByWhom.indexOf(consent.seenBy) >= seenByWhom.indexOf(wanted);
