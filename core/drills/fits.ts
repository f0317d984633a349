import { padKinds, type RoundKind } from '../rounds/index.ts';
import { ageGroupNames, gradeNames, hasReached, type AgeGroup, type BodyPart, type Grade } from '../trainee/index.ts';
import type { Drill } from './drill.ts';

/** Whom a drill is for, and what is there. */
export interface Circumstances {
  grade: Grade;
  /** Null where nobody has entered it. */
  ageGroup: AgeGroup | null;
  /** Where they are hurt. */
  limits: readonly BodyPart[];
  /** Whether they rest after a blow to the head: nothing is planned at all. */
  rests?: boolean;
  /** What is there to be hit. */
  kit: readonly RoundKind[];
  holder: boolean;
  partner: boolean;
}

/** Said of somebody who rests. */
export const restsFirst = 'They rest after a blow to the head: no session before step three of the way back.';

/** Said wherever something is left out for it. */
export const afterHeadBlow = 'No contact and no bag after a blow to the head, until a doctor has cleared it.';

/** What there has to be besides room: null where nothing is. */
export const kitFor = ({ on }: Pick<Drill, 'on'>, kit: readonly RoundKind[]): RoundKind | null =>
  on.find((kind) => kind === 'shadowboxing' || kit.includes(kind)) ?? null;

/**
 * Why a drill is not for somebody, in words; null when it is. Where a head was hurt nothing is hit and nobody strikes back until a
 * doctor has cleared it; whose age nobody knows is asked no more than a youth is.
 */
export function whyNot(drill: Drill, { grade, ageGroup, limits, kit, holder, partner }: Circumstances): string | null {
  if (limits.includes('head') && (drill.contact || drill.impact !== 'none')) return afterHeadBlow;
  const hurt = drill.loads.find((part) => limits.includes(part));
  if (hurt) return `It loads the ${hurt}, which is hurt.`;
  const age = ageGroup ?? 'youth';
  if (!drill.ages.includes(age))
    return ageGroup ? `Not for a ${ageGroupNames[age].toLowerCase()}.` : 'For adults; no age is entered.';
  if (!hasReached(grade, drill.grade)) return `From ${gradeNames[drill.grade].toLowerCase()} on.`;
  if (drill.company === 'holder' && !holder) return 'It needs somebody who holds.';
  if (drill.company === 'partner' && !partner) return 'It needs a partner.';
  if (!kitFor(drill, kit)) return `It needs ${padKinds.includes(drill.on[0]!) ? '' : 'a '}${drill.on[0]!}.`;
  return null;
}
