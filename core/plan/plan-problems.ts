import { afterHeadBlow, restsFirst, whyNot, type Circumstances, type Drill } from '../drills/index.ts';
import type { Seconds } from '../units.ts';
import { clockTime, counted } from '../words/index.ts';
import { beginsTooLate } from './make-plan.ts';
import { hasLeads, impactRounds, partsLength, workOfLeads, type PlanPart } from './part.ts';
import { rulesFor } from './rules.ts';

/** A rule that a plan breaks; `hard` ones the maker of plans never breaks, the others a coach may want so. */
export interface PlanProblem {
  /** The part that breaks it; null where it is all of them. */
  part: string | null;
  hard: boolean;
  says: string;
}

/** For whom a plan is, how long it may take, and what is there. */
export interface PlanGround {
  length: Seconds;
  who: Circumstances;
  impactThisWeek: number;
  drills: readonly Drill[];
  change: Seconds;
}

/** Everything that a plan breaks, in words; empty when it breaks nothing. */
export function planProblems(
  parts: readonly PlanPart[],
  { length, who, impactThisWeek, drills, change }: PlanGround,
): PlanProblem[] {
  const rules = rulesFor(who);
  const problems: PlanProblem[] = [];
  const hard = (part: string | null, says: string): void => void problems.push({ part, hard: true, says });
  const soft = (part: string | null, says: string): void => void problems.push({ part, hard: false, says });

  if (who.rests && parts.length > 0) hard(null, restsFirst);
  const takes = partsLength(parts, change);
  if (takes > length) hard(null, `It takes ${clockTime(takes - length)} longer than there is.`);
  const hits = impactRounds(parts);
  if (hits > rules.impactASession)
    hard(null, `${counted(hits, 'hard round')}; ${rules.impactASession} a session are the most here.`);
  if (hits > 0 && hits + impactThisWeek > rules.impactAWeek)
    hard(
      null,
      `With this week’s others ${counted(hits + impactThisWeek, 'hard round')}; ${rules.impactAWeek} a week are the most here.`,
    );
  if (change < rules.rest) hard(null, `Between two parts at least ${clockTime(rules.rest)}.`);

  for (const part of parts) {
    const drill = drills.find(({ id }) => id === part.drillId);
    const why = drill && whyNot(drill, who);
    if (why) hard(part.id, why);
    if (part.impact && who.limits.includes('head') && !why) hard(part.id, afterHeadBlow);
    if (hasLeads(part) || part.kind === 're-check') {
      if (part.work > rules.longestWork) hard(part.id, `Rounds of at most ${clockTime(rules.longestWork)} here.`);
      if (part.impact && part.rounds > 1 && part.rest < rules.rest)
        hard(part.id, `At least ${clockTime(rules.rest)} of rest between hard rounds.`);
    }
  }
  for (const part of beginsTooLate(parts, change)) hard(part.id, 'Something new in the last third, when nobody learns any more.');
  if (parts[0]?.kind !== 'warm-up') hard(null, 'It does not begin with a warm-up.');
  if (parts.at(-1)?.kind !== 'cool-down') hard(null, 'It does not end with a cool-down.');
  parts.forEach((part, place) => {
    if (
      part.kind === 'up' &&
      !parts.slice(0, place).some(({ kind, correctionId }) => kind === 'low' && correctionId === part.correctionId)
    )
      soft(part.id, 'One rung up without the low round before it.');
  });
  const { usual, other } = workOfLeads(parts);
  if (usual > other) soft(null, `The usual lead works ${clockTime(usual)}, the other ${clockTime(other)}.`);
  return problems;
}
