import type { TechniqueRow } from './row.ts';

const steps = {
  kind: 'footwork',
  side: 'both',
  range: 'any',
  lists: ['base', 'steps'],
  zones: [],
  usualOut: 250,
  usualReturn: 250,
  without: { strike: 'Nothing is struck.' },
} as const;

/** Steps, alone and with a strike. */
export const footwork = [
  {
    ...steps,
    id: 'step-and-recover',
    name: 'Step and recover',
    alsoSaid: ['slide step', 'push step'],
    beyond: ['pv.step-size', 'pv.land', 'st.length', 'ex.reset'],
    chain: ['pv.first-foot', 'pv.recover'],
    risk: 'Feet that touch fall over.',
  },
  {
    ...steps,
    id: 'punch-step',
    name: 'Punch with a step',
    alsoSaid: ['step and hand together'],
    beyond: ['pv.sync', 'pv.step-size', 'pv.land', 'gd.other-hand', 'ex.reset'],
    chain: ['pv.step-size', 'pv.sync'],
    risk: 'A punch in the air.',
  },
  {
    ...steps,
    id: 'shuffle',
    name: 'Shuffle',
    alsoSaid: ['bounce step'],
    beyond: ['pv.land', 'st.length', 'ex.reset'],
    chain: ['st.heels', 'pv.land'],
    risk: 'Clicking heels.',
  },
  {
    ...steps,
    id: 'quarter-turn',
    name: 'Quarter turn',
    alsoSaid: ['pivot out', 'angle off'],
    beyond: ['pv.lift', 'ex.angle', 'ex.reset'],
    chain: ['pv.first-foot', 'ex.angle'],
    risk: 'Turning towards the strong hand.',
  },
  {
    ...steps,
    id: 'stance-swap',
    name: 'Stance swap',
    alsoSaid: ['switch leads', 'change stance'],
    lists: ['base'],
    beyond: ['pv.switch', 'st.lead', 'ex.reset'],
    chain: ['st.heels', 'pv.switch'],
    risk: 'Square for as long as it takes.',
  },
  {
    ...steps,
    id: 'in-and-out',
    name: 'In and out',
    alsoSaid: ['phases', 'in, strike, out'],
    parts: ['jab', 'cross'],
    beyond: ['st.length', 'ex.move', 'ex.angle', 'ex.reset'],
    chain: ['pv.first-foot', 'ex.move'],
    risk: 'Out on the line it came in.',
  },
] as const satisfies readonly TechniqueRow[];
