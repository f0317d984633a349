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

/** Each direction is learned and judged by itself: whoever steps well forward may cross the feet to the side. */
const stepAndRecover = {
  ...steps,
  beyond: ['pv.step-size', 'pv.land', 'st.length', 'ex.reset'],
  chain: ['pv.first-foot', 'pv.recover'],
  risk: 'Feet that touch fall over.',
} as const;
/** In, strike and out once; a drill of several phases goes on without a rest. */
const inAndOut = {
  ...steps,
  beyond: ['st.length', 'ex.move', 'ex.angle', 'ex.reset'],
  chain: ['pv.first-foot', 'ex.move'],
  risk: 'Out on the line it came in.',
} as const;

/** Steps, alone and with a strike. */
export const footwork = [
  {
    ...stepAndRecover,
    id: 'step-and-recover',
    name: 'Step and recover',
    alsoSaid: ['slide step', 'push step', 'step and recover forward'],
  },
  { ...stepAndRecover, id: 'step-back', name: 'Step and recover, back', alsoSaid: ['step back'] },
  { ...stepAndRecover, id: 'step-lead-side', name: 'Step and recover to the lead side', alsoSaid: ['step to the lead side'] },
  { ...stepAndRecover, id: 'step-rear-side', name: 'Step and recover to the rear side', alsoSaid: ['step to the rear side'] },
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
    ...inAndOut,
    id: 'in-and-out',
    name: 'In and out',
    alsoSaid: ['one phase', 'in, strike, out'],
    parts: ['jab', 'cross'],
  },
  {
    ...inAndOut,
    id: 'in-and-out-twice',
    name: 'In and out, two phases',
    alsoSaid: ['two phases'],
    parts: ['jab', 'cross', 'jab', 'cross'],
  },
  {
    ...inAndOut,
    id: 'in-and-out-thrice',
    name: 'In and out, three phases',
    alsoSaid: ['three phases'],
    parts: ['jab', 'cross', 'jab', 'cross', 'jab', 'cross'],
  },
] as const satisfies readonly TechniqueRow[];
