import type { View } from '../technique/index.ts';
import { seen, type Tally } from './tally.ts';

/** A tally of one checkpoint of one technique, as judged from one view. */
export interface TallyOfView {
  sessionId: string;
  technique: string;
  checkpointId: string;
  view: View;
  tally: Tally;
}

/**
 * Two cameras on the same round show the same strikes. For each session, technique and checkpoint only the view that saw
 * most is kept (of equals the first), so that no strike is counted twice and each question is answered by its best view.
 */
export function oneViewEach<T extends TallyOfView>(tallies: Iterable<T>): T[] {
  const best = new Map<string, T>();
  for (const row of tallies) {
    const key = `${row.sessionId} ${row.technique} ${row.checkpointId}`;
    const held = best.get(key);
    if (!held || seen(row.tally) > seen(held.tally)) best.set(key, row);
  }
  return [...best.values()];
}
