import type { StationId } from '../station.ts';
import { seriesModels, type SeriesModel } from './series.ts';
import { everySingle, idsOf, isBeat, isIn, isMove, type Single } from './single.ts';

type SeriesId = keyof typeof seriesModels;
/** Everything that the simulated trainee throws. */
export type Thrown = Single | SeriesId;

const series: Record<SeriesId, SeriesModel> = seriesModels;

export const everythingThrown: readonly Thrown[] = [...everySingle, ...idsOf(series)];
export const isSeries = (technique: string): technique is SeriesId => isIn(series, technique);
export const seriesOf = (technique: Thrown): SeriesModel | undefined => (isSeries(technique) ? series[technique] : undefined);
/** The single movements that something consists of. */
export const partsOf = (technique: Thrown): readonly Single[] => (isSeries(technique) ? series[technique].strikes : [technique]);

/** Where something is worked when nothing else is said. */
export function usualStation(technique: Thrown): StationId {
  if (isBeat(technique)) return 'speed-bag';
  if (technique === 'uppercut-bag-set') return 'uppercut-bag';
  if (technique.startsWith('pad-')) return 'mitts';
  return isMove(technique) ? 'shadow' : 'heavy-bag';
}
