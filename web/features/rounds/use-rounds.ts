import type { Round } from '@wax-fist/contract/rounds';
import { cutAt, freeAround, withEdge } from '@wax-fist/core/rounds';
import type { Ms } from '@wax-fist/core/units';
import { v7 as uuid } from 'uuid';
import { computed, ref, type ComputedRef } from 'vue';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import { roundsWords as words } from './words.ts';

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

/** The rounds of the film in hand, and what can be done to them. Whatever a coach touches is no proposal any more. */
export function useRounds(duration: Ms): Rounds {
  const hitsAndRounds = useHitsAndRounds();
  const chosen = ref<string>();
  const inHand = computed(() => hitsAndRounds.rounds.find(({ id }) => id === chosen.value) ?? hitsAndRounds.rounds[0]);
  const names = (): string => {
    const numbers = hitsAndRounds.rounds.map(({ name }) => Number(/(\d+)$/.exec(name)?.[1] ?? 0));
    return words.roundRounds(Math.max(hitsAndRounds.rounds.length, ...numbers) + 1);
  };
  const mine = (rounds: Round[], id: string): Round[] =>
    rounds.map((round) => (round.id === id ? { ...round, proposed: false } : round));
  const moved = (id: string, edge: 'from' | 'to', time: Ms): Round[] =>
    mine(withEdge(hitsAndRounds.rounds, id, edge, time, duration), id);

  return {
    inHand,
    take: (id) => (chosen.value = id),
    neighbour(steps) {
      const place = hitsAndRounds.rounds.findIndex(({ id }) => id === inHand.value?.id) + steps;
      chosen.value = hitsAndRounds.rounds[Math.max(0, Math.min(hitsAndRounds.rounds.length - 1, place))]?.id;
    },
    edge: (id, edge, time) => hitsAndRounds.setRounds(moved(id, edge, time)),
    drag(id, edge, time) {
      chosen.value = id;
      hitsAndRounds.slide({ rounds: moved(id, edge, time) });
    },
    dropped: hitsAndRounds.slid,
    change: (id, change) =>
      hitsAndRounds.setRounds(
        mine(
          hitsAndRounds.rounds.map((round) => (round.id === id ? { ...round, ...change } : round)),
          id,
        ),
      ),
    cut(time) {
      const id = uuid();
      const rounds = cutAt(hitsAndRounds.rounds, time, { id, name: names(), proposed: false });
      if (!rounds) return false;
      hitsAndRounds.setRounds(rounds);
      chosen.value = id;
      return true;
    },
    add(time) {
      const span = freeAround(hitsAndRounds.rounds, time, duration);
      if (!span) return false;
      const { kind = 'heavy bag', manner = 'free', planned = '' } = inHand.value ?? {};
      const id = uuid();
      hitsAndRounds.setRounds([...hitsAndRounds.rounds, { id, name: names(), ...span, kind, manner, planned, proposed: false }]);
      chosen.value = id;
      return true;
    },
    remove: (id) => hitsAndRounds.setRounds(hitsAndRounds.rounds.filter((round) => round.id !== id)),
  };
}
