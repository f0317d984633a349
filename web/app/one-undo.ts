import { computed, type ComputedRef } from 'vue';

/** Something with a line of steps of its own, as a store has it. */
export interface Undoable {
  canUndo: boolean;
  canRedo: boolean;
  backAt: () => number | undefined;
  forthAt: () => number | undefined;
  undo: () => unknown;
  redo: () => unknown;
}

export interface OneUndo {
  canUndo: ComputedRef<boolean>;
  canRedo: ComputedRef<boolean>;
  /** Takes the latest step of all lines back. @returns whose it was */
  undo: () => Undoable | undefined;
  /** Does the earliest step that was taken back again. @returns whose it was */
  redo: () => Undoable | undefined;
}

/** One undo for everything on a screen, whatever store it lies in. */
export function oneUndo(lines: readonly Undoable[]): OneUndo {
  const furthest = (at: (line: Undoable) => number | undefined, wins: (one: number, other: number) => boolean) =>
    lines.reduce<Undoable | undefined>((best, line) => {
      const [mine, held] = [at(line), best && at(best)];
      return mine !== undefined && (held === undefined || wins(mine, held)) ? line : best;
    }, undefined);
  return {
    canUndo: computed(() => lines.some(({ canUndo }) => canUndo)),
    canRedo: computed(() => lines.some(({ canRedo }) => canRedo)),
    undo() {
      const line = furthest(
        ({ backAt }) => backAt(),
        (one, other) => one > other,
      );
      line?.undo();
      return line;
    },
    redo() {
      const line = furthest(
        ({ forthAt }) => forthAt(),
        (one, other) => one < other,
      );
      line?.redo();
      return line;
    },
  };
}
