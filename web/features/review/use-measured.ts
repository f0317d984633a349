import type { StrikeMark } from '@wax-fist/contract/review';
import type { Track } from '@wax-fist/core/body';
import {
  decidedAt,
  isOfRounds,
  isReadOfHolder,
  measurable,
  measureOf,
  readFrom,
  type DecidedAt,
  type ReadFrom,
  type MeasurableStrike,
  type Measured,
} from '@wax-fist/core/measure';
import { isOneStrike, thrownAs, type Checkpoint, type CheckpointId } from '@wax-fist/core/technique';
import { computed, shallowRef, watch, type ComputedRef } from 'vue';
import type { BenchData } from './use-bench-data.ts';
import { useFollowedFilm } from './use-followed-film.ts';
import { useMarkedRound } from './use-marked-round.ts';

/** A checkpoint, or what is told beside one. */
type MeasuredRow = Pick<Checkpoint, 'id' | 'measure'>;

export interface MeasuredStrike {
  /** What can be measured of a checkpoint at the strike in hand; undefined where nothing tells of it. */
  measureOf: ComputedRef<(checkpoint: MeasuredRow) => Measured | undefined>;
  /** Where the body was; undefined until it is here, and where it was not followed. */
  track: ComputedRef<Track | undefined>;
  /** What the measure of a checkpoint looks at in the strike in hand. */
  readFor: (checkpoint: CheckpointId) => ReadFrom | undefined;
  /** When a row of it is decided, where that is none of its moments. */
  decidedFor: (checkpoint: CheckpointId, isClean: boolean) => DecidedAt | undefined;
}

/**
 * Measures the strike in hand: from its moments at once, from the points of the body a moment later, so that the strike is on the
 * screen before anything is computed.
 */
export function useMeasured(
  data: BenchData,
  strike: ComputedRef<StrikeMark | undefined>,
  followed = useFollowedFilm(data).followed,
): MeasuredStrike {
  const { catalogue, playable } = data;
  const round = useMarkedRound(data, strike);
  const looked = shallowRef<{
    strike: StrikeMark;
    points: MeasurableStrike | undefined;
    told: Map<string, Measured | undefined>;
  }>();
  watch(
    [strike, followed],
    ([now, scene], _before, onCleanup) => {
      if (!now || !scene) return;
      const later = setTimeout(() => {
        const technique = catalogue.techniques.get(thrownAs(catalogue, now));
        looked.value = { strike: now, points: technique && measurable(scene, now, technique), told: new Map() };
      });
      onCleanup(() => clearTimeout(later));
    },
    { immediate: true },
  );

  const measure = computed(() => (checkpoint: MeasuredRow): Measured | undefined => {
    const now = strike.value;
    if (!now) return undefined;
    if (isOfRounds(checkpoint.measure)) return measureOf(playable.timeline, now, undefined, checkpoint, round.value);
    if (!isOneStrike(catalogue, now) && !isReadOfHolder(checkpoint.id)) return undefined;
    const { value } = looked;
    if (value?.strike !== now) return measureOf(playable.timeline, now, undefined, checkpoint);
    if (!value.told.has(checkpoint.id))
      value.told.set(checkpoint.id, measureOf(playable.timeline, now, value.points, checkpoint));
    return value.told.get(checkpoint.id);
  });
  const inHand = (): MeasurableStrike | undefined => (looked.value?.strike === strike.value ? looked.value?.points : undefined);
  return {
    measureOf: measure,
    track: computed(() => followed.value?.track),
    readFor(id) {
      const points = inHand();
      return points && readFrom(points, id);
    },
    decidedFor(id, isClean) {
      const points = inHand();
      return points && decidedAt(points, id, isClean);
    },
  };
}
