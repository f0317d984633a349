import { least } from 'd3-array';
import { bodySides, type BodySize, pointsOf } from '../body/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { smooth } from './geometry.ts';
import { fitOf, isWay, pathOf, type Path } from './path-fit.ts';
import type { StrikePoints } from './sight.ts';

/** How long before both feet stand a step may begin, and how long a foot is on its way at least. */
const [longest, shortest]: readonly [Ms, Ms] = [700, 100];
/** First every so often, then closer round what fits best. */
const [coarse, fine]: readonly [Ms, Ms] = [40, 10];
/** A foot that goes less far, in trunks, stays. */
const leastWay: Ratio = 0.12;

interface Way {
  from: Ms;
  to: Ms;
  off: number;
  way: Ratio;
}
/** From one instant to another, both included. */
const every = (step: Ms, from: Ms, to: Ms): Ms[] =>
  Array.from({ length: Math.max(0, Math.floor((to - from) / step) + 1) }, (_, place) => from + place * step);

/** When a foot leaves: of a way from rest to rest, the one that fits its path best. Undefined where it stays. */
function footLeaves(path: Path, stands: Ms): Ms | undefined {
  if (path.times.length < 6) return undefined;
  const [first, last] = [stands - longest + shortest, stands];
  const bestOf = (leaving: readonly Ms[], coming: readonly Ms[]): Way | undefined => {
    const ways = leaving.flatMap((from) =>
      coming
        .filter((to) => to >= from + shortest && to <= last)
        .map((to): Way => ({
          ...{ from, to },
          ...fitOf(
            path,
            path.times.map((time) => smooth((time - from) / (to - from))),
          ),
        })),
    );
    return least(ways, ({ off }) => off);
  };
  const about = bestOf(every(coarse, first, last - shortest), every(coarse, first + shortest, last));
  if (!about) return undefined;
  const round = (middle: Ms): Ms[] => every(fine, middle - coarse, middle + coarse);
  const best = bestOf(round(about.from), round(about.to)) ?? about;
  return isWay(best, leastWay) ? best.from : undefined;
}

/** When the first foot of a step leaves, by when both stand; undefined where neither is seen to go. */
export function feetSetOut(points: StrikePoints, size: Pick<BodySize, 'torso'>, stands: Ms): Ms | undefined {
  const leaving = bodySides.flatMap(
    (side) => footLeaves(pathOf(points, pointsOf[side].Toe, size, [stands - longest, stands], 'picture'), stands) ?? [],
  );
  return leaving.length > 0 ? Math.min(...leaving) : undefined;
}
