import type { TechniqueRow } from './row.ts';

/** Strikes that are begun and taken back. */
export const feints = [
  {
    id: 'feint',
    name: 'Feint',
    kind: 'feint',
    side: 'both',
    range: 'any',
    alsoSaid: ['fake', 'half jab'],
    lists: ['base', 'defence'],
    beyond: ['gd.return-line', 'gd.other-hand', 'st.balance'],
    zones: [],
    chain: ['st.balance', 'gd.return-line'],
    risk: 'A hand that stays out, or a weight that goes with it, is hit on the way.',
    without: {
      pivot: 'The feet stay where they are.',
      strike: 'Nothing is struck; what follows is judged as its own technique.',
    },
    usualOut: 130,
    usualReturn: 170,
  },
] as const satisfies readonly TechniqueRow[];
