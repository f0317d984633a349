import { rowsOf, walkStops, type Catalogue, type CheckpointId, type EditedRow } from '@wax-fist/core/technique';
import { computed, shallowRef, type ComputedRef } from 'vue';

export interface RowsEditor {
  rows: ComputedRef<readonly EditedRow[]>;
  changed: ComputedRef<boolean>;
  /** Changes one row; what is emptied is as it ships again. */
  change: (id: CheckpointId, change: Partial<EditedRow>) => void;
  move: (id: CheckpointId, steps: 1 | -1) => void;
  order: (ids: readonly CheckpointId[]) => void;
  add: (id: CheckpointId) => void;
  remove: (id: CheckpointId) => void;
  undo: () => void;
  redo: () => void;
  canUndo: ComputedRef<boolean>;
  canRedo: ComputedRef<boolean>;
}

/** The rows of one checklist while they are changed; nothing is saved until the page says so. */
export function useRowsEditor(catalogue: Catalogue, technique: string): RowsEditor {
  const walked = [...rowsOf(catalogue, technique)];
  const stop = ({ checkpointId }: EditedRow): number => walkStops.indexOf(catalogue.checkpoints.get(checkpointId)!.stop);
  // As long as the club has not set an order, it is that of the walk.
  const first = catalogue.edited.has(technique) ? walked : walked.sort((a, b) => stop(a) - stop(b));
  const history = shallowRef<readonly (readonly EditedRow[])[]>([first]);
  const at = shallowRef(0);
  const rows = computed(() => history.value[at.value]!);

  function set(next: readonly EditedRow[]): void {
    history.value = [...history.value.slice(0, at.value + 1), next];
    at.value = history.value.length - 1;
  }
  const without = (row: EditedRow): EditedRow =>
    Object.fromEntries(
      Object.entries(row).filter(([, value]) => value !== undefined && value !== '' && value !== false),
    ) as unknown as EditedRow;

  return {
    rows,
    changed: computed(() => JSON.stringify(rows.value) !== JSON.stringify(first)),
    change: (id, change) => set(rows.value.map((row) => (row.checkpointId === id ? without({ ...row, ...change }) : row))),
    move(id, steps) {
      const from = rows.value.findIndex(({ checkpointId }) => checkpointId === id);
      const to = from + steps;
      if (from < 0 || to < 0 || to >= rows.value.length) return;
      const next = [...rows.value];
      next.splice(to, 0, ...next.splice(from, 1));
      set(next);
    },
    order(ids) {
      const byId = new Map(rows.value.map((row) => [row.checkpointId, row]));
      set(ids.flatMap((id) => byId.get(id) ?? []));
    },
    add: (id) => !rows.value.some(({ checkpointId }) => checkpointId === id) && set([...rows.value, { checkpointId: id }]),
    remove: (id) => set(rows.value.filter(({ checkpointId }) => checkpointId !== id)),
    undo: () => void (at.value = Math.max(0, at.value - 1)),
    redo: () => void (at.value = Math.min(history.value.length - 1, at.value + 1)),
    canUndo: computed(() => at.value > 0),
    canRedo: computed(() => at.value < history.value.length - 1),
  };
}
