import type { CheckpointId } from './checkpoint.ts';
import type { ChecklistRow } from './checklist.ts';

/** Looked at by a coach who has starred nothing: few enough to be judged by hand on every strike. */
export const usualStars: readonly CheckpointId[] = [
  'pv.rear-turn', 'st.width', 'sm.telegraph', 'sm.straight', 'gd.return-line', 'gd.other-hand',
]; // prettier-ignore

/** The rows of a walk: all that this view can show, or only the starred ones and those somebody is working on. */
export function walkOf(checklist: readonly ChecklistRow[], wanted: ReadonlySet<string>, full: boolean): ChecklistRow[] {
  return checklist.filter(({ shown, checkpoint }) => shown && (full || wanted.has(checkpoint.id)));
}
