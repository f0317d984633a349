import type { LevelAnswer } from '@wax-fist/contract/answers';
import { rungName } from '@wax-fist/core/correction';
import { seen, weightedFaults } from '@wax-fist/core/review';

/** A session on a panel: what was counted, and the level with its doubt. */
export interface PanelPoint {
  sessionId: string;
  heldOn: string;
  faults: number;
  seen: number;
  level: number;
  low: number;
  high: number;
}
/** What is drawn of one rung. */
export interface LevelPanel {
  rung: number;
  name: string;
  points: PanelPoint[];
}

/** One panel a rung, the lowest first: another rung asks another question, and no line leads from one to the next. */
export const levelPanels = (answers: readonly LevelAnswer[]): LevelPanel[] =>
  [...answers]
    .sort((a, b) => a.rung - b.rung)
    .map(({ rung, levels }) => ({
      rung,
      name: rungName(rung),
      points: levels.map(({ tally, ...level }) => ({ ...level, faults: weightedFaults(tally), seen: seen(tally) })),
    }));

/** A day that explains something: a correction was opened, or the school became another. */
export interface MarkedDay {
  day: string;
  says: string;
}

/** The days on which a trainee began to be judged by another school. @param sessions in any order */
export function schoolChanges(sessions: readonly { heldOn: string; judgedBy: { name: string } }[]): MarkedDay[] {
  const inOrder = [...sessions].sort((a, b) => (a.heldOn < b.heldOn ? -1 : 1));
  return inOrder.flatMap(({ heldOn, judgedBy }, place) =>
    place > 0 && inOrder[place - 1]!.judgedBy.name !== judgedBy.name ? [{ day: heldOn, says: judgedBy.name }] : [],
  );
}
