import { matchCalls, type MatchStep } from '../calls/index.ts';
import type { TechniqueId } from '../technique/index.ts';

/** A call of a set as it is marked at a test: where it stands in what was asked, and in what was thrown. */
export interface MarkedCall {
  technique: TechniqueId;
  kind: MatchStep['kind'];
  planned: number | null;
  seen: number | null;
}

/** What was thrown beside what was asked, call by call, in the order in which it came. */
export function markedCalls(asked: readonly TechniqueId[], thrown: readonly TechniqueId[]): MarkedCall[] {
  return matchCalls(asked, thrown).steps.flatMap((step): MarkedCall[] => {
    if (step.kind === 'swapped')
      return [1, 0].map((side) => ({
        ...{ technique: asked[step.planned[side]!]!, kind: step.kind },
        ...{ planned: step.planned[side]!, seen: step.seen[1 - side]! },
      }));
    const planned = 'planned' in step ? step.planned : null;
    const seen = 'seen' in step ? step.seen : null;
    return [{ technique: seen !== null ? thrown[seen]! : asked[planned!]!, kind: step.kind, planned, seen }];
  });
}

/** Takes a call out of what was thrown, or puts one that was left out back in its place. */
export function toggledCall(thrown: readonly TechniqueId[], marked: readonly MarkedCall[], place: number): TechniqueId[] {
  const { seen, technique } = marked[place]!;
  if (seen !== null) return thrown.filter((_, at) => at !== seen);
  const before = marked.slice(0, place).findLast((one) => one.seen !== null)?.seen ?? -1;
  return thrown.toSpliced(before + 1, 0, technique);
}

/** Exchanges a call that was thrown with the one after it. */
export function exchangedCalls(thrown: readonly TechniqueId[], seen: number): TechniqueId[] {
  const [one, next] = [thrown[seen], thrown[seen + 1]];
  return one === undefined || next === undefined ? [...thrown] : thrown.toSpliced(seen, 2, next, one);
}
