import type { LearnedKind } from '@wax-fist/contract/point-checks';
import { pointInWords, pointParts, type PointName, type PointPart } from '@wax-fist/core/body';
import { counted, decimal } from '@wax-fist/core/words';
import { pointSides, type PointSeen } from '@wax-fist/core/measure';

/** From where a point is seen, in words. */
export const sideNames: Record<PointSeen, string> = {
  near: 'Nearer side',
  far: 'Further side',
  along: 'Front and back',
};

/** Which side is meant: coaches see a mirror where there is none. */
const sideHints: Record<PointSeen, string> = {
  near: ', on the side nearer to the camera',
  far: ', on the side further from the camera',
  along: '',
};
/** Two may be in the picture. */
const whoseBody = 'Of whoever strikes';
export function askedInWords(point: PointName, seen: PointSeen): { name: string; hint: string } {
  const whose = /^(left|right)/.exec(point);
  const side = whose ? sideHints[seen] || `, their own ${whose[1]!}` : '';
  return { name: pointInWords(point), hint: `${whoseBody}${side}.` };
}

/** A part as it is written in a table. */
export const partName = (part: PointPart): string => part[0]!.toUpperCase() + part.slice(1);

/** 1.5 as “1.5 ×”. */
export const timesInWords = (wider: number): string => `${decimal(wider, 1)} ×`;

/** How often something was checked: 3 checks, 1 unseen. */
export const checksInWords = ({ checks, hidden }: Pick<LearnedKind, 'checks' | 'hidden'>): string =>
  [checks > 0 || hidden === 0 ? counted(checks, 'check') : '', hidden > 0 ? `${hidden} unseen` : ''].filter(Boolean).join(', ');

/** A table of parts by the side from which they are seen; without parts of which nothing was checked. */
export const kindsByPart = (kinds: readonly LearnedKind[]) =>
  pointParts
    .map((part) => ({
      part,
      bySide: pointSides.map((side) => kinds.find((kind) => kind.part === part && kind.seen === side)),
    }))
    .filter(({ bySide }) => bySide.some(Boolean));
