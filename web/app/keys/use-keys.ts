import { useEventListener } from '@vueuse/core';
import { computed, shallowRef, type ComputedRef } from 'vue';
import { isListOfText, remember, remembered } from '../remembered.ts';
import { drawnKey, keyName } from './key-name.ts';

/** Something that a key does. */
export interface KeyAction<Id extends string = string> {
  id: Id;
  group: string;
  name: string;
  keys: readonly string[];
}

export interface Keys<Id extends string> {
  /** The actions with the keys that hold now. */
  actions: ComputedRef<readonly KeyAction<Id>[]>;
  /** The first key of an action, as drawn. */
  drawn: (id: Id) => string;
  /** Gives an action another key; whoever had it loses it. */
  change: (id: Id, key: string) => void;
  reset: () => void;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches('textarea, select, input:not([type=range]):not([type=checkbox])'));
/** Enter and space belong to a button or link that was reached with the keyboard; one that was clicked gives them back. */
const pressing = ({ target, key, ctrlKey, metaKey }: KeyboardEvent): boolean =>
  target instanceof HTMLElement &&
  (key === ' ' || key === 'Enter') &&
  !(ctrlKey || metaKey) &&
  target.matches('button:focus-visible, a:focus-visible, [role=button]:focus-visible, input');

/** Keys that a coach has changed, by action. */
type Changed = Partial<Record<string, readonly string[]>>;
const isChanged = (kept: unknown): kept is Changed =>
  typeof kept === 'object' && kept !== null && !Array.isArray(kept) && Object.values(kept).every(isListOfText);

/** Keys of a screen: a table of actions, changed keys remembered in this browser under `rememberedAs`. */
export function useKeys<Id extends string>(
  table: readonly KeyAction<Id>[],
  rememberedAs: string,
  act: (id: Id) => void,
  paused: () => boolean = () => false,
): Keys<Id> {
  const changed = shallowRef<Changed>(remembered(rememberedAs, isChanged) ?? {});
  const actions = computed(() =>
    table.map((action): KeyAction<Id> => ({ ...action, keys: changed.value[action.id] ?? action.keys })),
  );
  const byKey = computed(() => new Map(actions.value.flatMap(({ id, keys }) => keys.map((key) => [key, id] as const))));

  const onKey = (event: KeyboardEvent): void => {
    if (paused() || event.defaultPrevented || typing(event.target) || pressing(event)) return;
    const id = byKey.value.get(keyName(event));
    if (!id) return;
    event.preventDefault();
    act(id);
  };
  useEventListener(window, 'keydown', onKey, { capture: true });

  const keep = (next: Changed): void => {
    changed.value = next;
    remember(rememberedAs, next);
  };

  return {
    actions,
    drawn: (id) => drawnKey(actions.value.find((action) => action.id === id)?.keys[0] ?? ''),
    change(id, key) {
      const next = Object.fromEntries(
        actions.value.map((action) => [action.id, action.id === id ? [key] : action.keys.filter((other) => other !== key)]),
      );
      keep(next);
    },
    reset: () => keep({}),
  };
}
