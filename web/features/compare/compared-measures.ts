import { differenceOf, type Difference } from '@wax-fist/core/compare';
import { measurable, measureOf, type FollowedFilm, type MeasuredValue } from '@wax-fist/core/measure';
import type { Verdict } from '@wax-fist/core/review';
import { rowsOf, type Checkpoint } from '@wax-fist/core/technique';
import type { ComparedSide } from './compared-side.ts';

/** A checkpoint of both strikes: what was said of it, what was measured, and by how much that differs. */
export interface ComparedRow {
  checkpoint: Checkpoint;
  said: readonly [first: Verdict | undefined, second: Verdict | undefined];
  measured: readonly [first: MeasuredValue | undefined, second: MeasuredValue | undefined];
  difference: Difference | undefined;
}

/** What one strike measures, by checkpoint. */
function valuesOf({ moments, technique, timeline }: ComparedSide, film: FollowedFilm | undefined) {
  const points = film && technique && measurable(film, moments, technique);
  return (checkpoint: Checkpoint): MeasuredValue | undefined => {
    const found = measureOf(timeline, moments, points, checkpoint);
    return found?.value === undefined ? undefined : found;
  };
}

/** Rows of which something is known of both, in walking order. */
export function comparedRows(
  sides: readonly [ComparedSide, ComparedSide],
  films: readonly [FollowedFilm | undefined, FollowedFilm | undefined],
): ComparedRow[] {
  const [first, second] = sides;
  const values = [valuesOf(first, films[0]), valuesOf(second, films[1])] as const;
  const sameFilm = first.strike !== undefined && first.strike.film.id === second.strike?.film.id;
  const saidIn = (side: ComparedSide, id: string): Verdict | undefined =>
    side.strike?.verdicts.find(({ checkpointId }) => checkpointId === id)?.verdict;
  if (!first.technique) return [];
  return rowsOf(first.catalogue, first.technique.id).flatMap(({ checkpointId }): ComparedRow[] => {
    const checkpoint = first.catalogue.checkpoints.get(checkpointId);
    if (!checkpoint) return [];
    const measured = [values[0](checkpoint), values[1](checkpoint)] as const;
    const said = [saidIn(first, checkpointId), saidIn(second, checkpointId)] as const;
    const known = (place: 0 | 1): boolean => measured[place] !== undefined || said[place] !== undefined;
    if (!known(0) || !known(1)) return [];
    const difference = measured[0] && measured[1] && differenceOf(measured[0], measured[1], sameFilm);
    return [{ checkpoint, said, measured, difference }];
  });
}
