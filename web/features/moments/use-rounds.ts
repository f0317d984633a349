import type { Round } from '@wax-fist/contract/moments';
import { cutAt, freeAround, withEdge } from '@wax-fist/core/moments';
import type { Ms } from '@wax-fist/core/units';
import { v7 as uuid } from 'uuid';
import { computed, ref, type ComputedRef } from 'vue';
import { useMoments } from './moments-store.ts';

export interface Rounds {
  inHand: ComputedRef<Round | undefined>;
  take: (id: string) => void;
  neighbour: (steps: 1 | -1) => void;
  /** Moves an edge of a round; while a hand still drags it, nothing is kept. */
  edge: (id: string, edge: 'from' | 'to', time: Ms) => void;
  drag: (id: string, edge: 'from' | 'to', time: Ms) => void;
  dropped: () => void;
  change: (id: string, change: Partial<Round>) => void;
  cut: (time: Ms) => boolean;
  add: (time: Ms) => boolean;
  remove: (id: string) => void;
}

/** The rounds of the clip in hand, and what can be done to them. Whatever a coach touches is no proposal any more. */
export function useRounds(duration: Ms): Rounds {
  const moments = useMoments();
  const chosen = ref<string>();
  const inHand = computed(() => moments.rounds.find(({ id }) => id === chosen.value) ?? moments.rounds[0]);
  const names = (): string => {
    const numbers = moments.rounds.map(({ name }) => Number(/(\d+)$/.exec(name)?.[1] ?? 0));
    return `Round ${Math.max(moments.rounds.length, ...numbers) + 1}`;
  };
  const mine = (rounds: Round[], id: string): Round[] =>
    rounds.map((round) => (round.id === id ? { ...round, proposed: false } : round));
  const moved = (id: string, edge: 'from' | 'to', time: Ms): Round[] =>
    mine(withEdge(moments.rounds, id, edge, time, duration), id);

  return {
    inHand,
    take: (id) => (chosen.value = id),
    neighbour(steps) {
      const place = moments.rounds.findIndex(({ id }) => id === inHand.value?.id) + steps;
      chosen.value = moments.rounds[Math.max(0, Math.min(moments.rounds.length - 1, place))]?.id;
    },
    edge: (id, edge, time) => moments.setRounds(moved(id, edge, time)),
    drag(id, edge, time) {
      chosen.value = id;
      moments.slide({ rounds: moved(id, edge, time) });
    },
    dropped: moments.slid,
    change: (id, change) =>
      moments.setRounds(
        mine(
          moments.rounds.map((round) => (round.id === id ? { ...round, ...change } : round)),
          id,
        ),
      ),
    cut(time) {
      const id = uuid();
      const rounds = cutAt(moments.rounds, time, { id, name: names(), proposed: false });
      if (!rounds) return false;
      moments.setRounds(rounds);
      chosen.value = id;
      return true;
    },
    add(time) {
      const span = freeAround(moments.rounds, time, duration);
      if (!span) return false;
      const { kind = 'heavy bag', manner = 'free', planned = '' } = inHand.value ?? {};
      const id = uuid();
      moments.setRounds([...moments.rounds, { id, name: names(), ...span, kind, manner, planned, proposed: false }]);
      chosen.value = id;
      return true;
    },
    remove: (id) => moments.setRounds(moments.rounds.filter((round) => round.id !== id)),
  };
}
