import type { CheckpointId } from './checkpoint.ts';
import type { ChecklistRow } from './checklist.ts';

/** Looked at by a coach who has starred nothing: few enough to be judged by hand on every strike. */
export const usuallyStarred: readonly CheckpointId[] = [
  'pv.rear-turn',
  'pv.lead-turn',
  'pv.support-turn',
  'st.width',
  'sm.telegraph',
  'sm.straight',
  'sm.hook-width',
  'sm.uppercut-path',
  'gd.return-line',
  'gd.other-hand',
  'gd.kick-hand',
  'kk.return',
  'ph.narrow',
  'ph.head-clear',
];

/**
 * The rows of a walk: all that can be shown, or only the starred ones and those somebody is working on. In the whole walk the
 * rows that are `judgedAnyway`, against what this view can show, are there as well.
 */
export function walkOf(
  checklist: readonly ChecklistRow[],
  wanted: ReadonlySet<string>,
  full: boolean,
  judgedAnyway: ReadonlySet<string> = new Set(),
): ChecklistRow[] {
  return checklist.filter(
    ({ shown, checkpoint: { id } }) => (shown && (full || wanted.has(id))) || (!shown && judgedAnyway.has(id)),
  );
}
